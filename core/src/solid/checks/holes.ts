import { boxOfMesh } from "../../form/mesh";
import { holesOfMesh } from "../../form/meshPieces";
import type { MeshRays } from "../../form/meshRays";
import { applySpace, spaceAt, type SpacePoint } from "../../geometry/space";
import type { SolidGroup } from "../layout";
import { defineCheck, MOST_PLACES } from "./definition";

/** How far on either side of a cutter's end its bottom is looked for, millimetres. */
const NEAR = 0.02;

/** How many holes go through, and which cuts end within: where a cutter's own end is part of the surface. */
export const holes = defineCheck({
  kind: "holes",
  check({ rays, whole, pieces, layout }) {
    const cutters = layout.parts.filter(({ role }) => role === "cutter").flatMap(({ groups }) => groups);
    const blind = cutters.flatMap((group) => blindEnds(group, rays));
    const cuts = cutters.reduce((sum, { copies }) => sum + copies.length, 0);
    const through = holesOfMesh(whole, pieces.length);
    return {
      state: blind.length === 0 ? "passed" : "doubtful",
      figures: { through, cuts, blind: blind.length },
      places: blind.slice(0, MOST_PLACES),
    };
  },
});

function blindEnds({ mesh, matrices, copies }: SolidGroup, rays: MeshRays): SpacePoint[] {
  const box = boxOfMesh(mesh);
  if (!box) return [];
  const ends = [box.min[2], box.max[2]].flatMap((z) => endPoint(mesh.positions, z));
  return Array.from(copies, (_, index) => spaceAt(matrices, index)).flatMap((at) =>
    ends.flatMap((end) => {
      const below = applySpace(at, { ...end, z: end.z - NEAR });
      const above = applySpace(at, { ...end, z: end.z + NEAR });
      return rays.reach(below, above) === null ? [] : [applySpace(at, end)];
    }),
  );
}

/** The middle of the corners at a height. */
function endPoint(positions: Float32Array, z: number): SpacePoint[] {
  let [x, y, count] = [0, 0, 0];
  for (let k = 0; k + 2 < positions.length; k += 3) {
    if (Math.abs((positions[k + 2] ?? 0) - z) > 1e-6) continue;
    x += positions[k] ?? 0;
    y += positions[k + 1] ?? 0;
    count++;
  }
  return count === 0 ? [] : [{ x: x / count, y: y / count, z }];
}
