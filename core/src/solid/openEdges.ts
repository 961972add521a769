import { at } from "../geometry/at";
import type { Mesh } from "../form/mesh";

/** Edges of a mesh whose triangles do not close over them: two corners each, by number. Corners in one place count as one. */
export function openEdges({ positions, triangles }: Mesh): Uint32Array {
  const names = weldedNames(positions);
  const corners = positions.length / 3;
  const balance = new Map<number, number>();
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    for (let side = 0; side < 3; side++) {
      const a = at(names, at(triangles, k + side));
      const b = at(names, at(triangles, k + ((side + 1) % 3)));
      if (a === b) continue;
      const key = Math.min(a, b) * corners + Math.max(a, b);
      balance.set(key, (balance.get(key) ?? 0) + (a < b ? 1 : -1));
    }
  }
  const open = [...balance].flatMap(([key, sum]) => (sum === 0 ? [] : [Math.floor(key / corners), key % corners]));
  return Uint32Array.from(open);
}

/** For each corner the number of the first one in the same place. */
function weldedNames(positions: Float32Array): Uint32Array {
  const first = new Map<string, number>();
  return Uint32Array.from({ length: positions.length / 3 }, (_, corner) => {
    const key = positions.subarray(corner * 3, corner * 3 + 3).join();
    const known = first.get(key);
    if (known !== undefined) return known;
    first.set(key, corner);
    return corner;
  });
}
