import {
  applySpace,
  boxOfMesh,
  isNumberValue,
  spaceAt,
  type Design,
  type NumberValue,
  type Part,
  type SolidValue,
  type SpaceMatrix,
  type SpacePoint,
} from "@twin-petal/core";
import { changeSolid } from "@/store/edits/solid";
import type { Edit } from "@/store/edit";
import type { Solids } from "@/solid/useSolids";

/** A number of a solid that is pulled in space. */
export interface SolidHandle {
  readonly name: "depth" | "tilt";
  /** What it is now, millimetres or degrees. */
  readonly value: number;
  readonly unit: string;
  /** What one arrow key adds. */
  readonly step: number;
  readonly at: SpacePoint;
  /** Where it would be with one more. */
  readonly onward: SpacePoint;
  /** Sets it. */
  set: (value: number, gesture: string) => Edit;
}

/** What of the chosen part's solid can be pulled on the copy that is worked on. Numbers that are formulas cannot. */
export function solidHandles(
  design: Design,
  chosen: string | null,
  copy: number,
  { layout, meshes }: Solids,
): SolidHandle[] {
  const part = design.parts.find(({ id }) => id === chosen);
  const shown = layout?.parts.find((one) => one.part === chosen);
  const group = shown?.groups.find(({ copies }) => copies.includes(copy)) ?? shown?.groups[0];
  const mesh = group && meshes.get(group.mesh);
  const box = mesh && boxOfMesh(mesh);
  if (!part?.solid || !group || !box) return [];
  const matrix = spaceAt(group.matrices, Math.max(0, group.copies.indexOf(copy)));
  const middleOf = (axis: 0 | 1 | 2) => (box.min[axis] + box.max[axis]) / 2;
  // One on the right, one at the tip: they lie apart from whichever side they are seen.
  const side = { x: box.max[0], y: middleOf(1), z: box.max[2] };
  const tip = { x: middleOf(0), y: box.max[1], z: middleOf(2) };
  return [...depthHandle(part, part.solid, matrix, side), ...tiltHandle(part, part.solid, matrix, tip)];
}

function depthHandle({ id }: Part, { form, depth }: SolidValue, matrix: SpaceMatrix, top: SpacePoint): SolidHandle[] {
  if (form === "revolve" || !isPlain(depth)) return [];
  return [
    {
      name: "depth",
      value: depth,
      unit: " mm",
      step: 0.5,
      at: applySpace(matrix, top),
      onward: applySpace(matrix, { ...top, z: top.z + 1 }),
      set(value, gesture) {
        const next = Math.max(0.1, Number(value.toFixed(2)));
        return changeSolid(id, { depth: next }, `depth ${depth} → ${next}`, `pull-depth/${gesture}`);
      },
    },
  ];
}

function tiltHandle({ id }: Part, { tilt }: SolidValue, matrix: SpaceMatrix, tip: SpacePoint): SolidHandle[] {
  const { x } = tilt;
  if (!isPlain(x)) return [];
  // A degree about the motif's own upright raises what is up it.
  const degree = Math.PI / 180;
  return [
    {
      name: "tilt",
      value: x,
      unit: "°",
      step: 1,
      at: applySpace(matrix, tip),
      onward: applySpace(matrix, { x: tip.x, y: tip.y - tip.z * degree, z: tip.z + tip.y * degree }),
      set(value, gesture) {
        const next = Number((Math.round(value * 2) / 2).toFixed(1));
        return changeSolid(id, { tilt: { ...tilt, x: next } }, `tilt x ${x} → ${next}`, `pull-tilt/${gesture}`);
      },
    },
  ];
}

function isPlain(value: NumberValue): value is number {
  return isNumberValue(value) && typeof value === "number";
}
