import { SPACE_STRIDE } from "../geometry/space";
import type { Placements } from "../rules/placements";
import type { ColoredMesh } from "./formMeshes";

/** The height of the lowest corner of all copies where they stand (twelve numbers each), millimetres. */
export function lowestOf(
  { count, shapeOf }: Placements,
  meshes: readonly (readonly ColoredMesh[])[],
  flat: Float64Array,
): number {
  let lowest = Infinity;
  for (let copy = 0; copy < count; copy++) {
    const from = copy * SPACE_STRIDE;
    const [x = 0, y = 0, z = 0, origin = 0] = [flat[from + 2], flat[from + 5], flat[from + 8], flat[from + 11]];
    for (const { mesh } of meshes[shapeOf?.[copy] ?? 0] ?? []) {
      lowest = Math.min(lowest, origin + lowestAlong(mesh.positions, x, y, z));
    }
  }
  return lowest;
}

/** The least of x·px + y·py + z·pz over all corners. */
function lowestAlong(positions: Float32Array, x: number, y: number, z: number): number {
  let lowest = Infinity;
  for (let k = 0; k + 2 < positions.length; k += 3) {
    const height = x * (positions[k] ?? 0) + y * (positions[k + 1] ?? 0) + z * (positions[k + 2] ?? 0);
    if (height < lowest) lowest = height;
  }
  return lowest;
}
