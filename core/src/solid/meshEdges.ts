import { at } from "../geometry/at";
import type { Mesh } from "../form/mesh";
import type { SpacePoint } from "../geometry/space";

/** Edges of a mesh whose triangles do not close over them: two corners each, by number. Corners in one place count as one. */
export function openEdges(mesh: Mesh): Uint32Array {
  return edgesOf(mesh, ({ balance }) => balance !== 0);
}

/** Edges where bodies only touch: more than two triangles of a closed surface meet there. Two corners each, by number. */
export function touchingEdges(mesh: Mesh): Uint32Array {
  return edgesOf(mesh, ({ balance, count }) => balance === 0 && count > 2);
}

/** What lies on an edge: how many triangles, and how many more run one way than the other. */
interface OnEdge {
  balance: number;
  count: number;
}

function edgesOf({ positions, triangles }: Mesh, isAsked: (on: OnEdge) => boolean): Uint32Array {
  const names = weldedNames(positions);
  const corners = positions.length / 3;
  const edges = new Map<number, OnEdge>();
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    for (let side = 0; side < 3; side++) {
      const a = at(names, at(triangles, k + side));
      const b = at(names, at(triangles, k + ((side + 1) % 3)));
      if (a === b) continue;
      const key = Math.min(a, b) * corners + Math.max(a, b);
      const on = edges.get(key) ?? { balance: 0, count: 0 };
      on.balance += a < b ? 1 : -1;
      on.count += 1;
      edges.set(key, on);
    }
  }
  return Uint32Array.from(
    [...edges].flatMap(([key, on]) => (isAsked(on) ? [Math.floor(key / corners), key % corners] : [])),
  );
}

/** The middles of edges, at most so many. */
export function middlesOfEdges(edges: Uint32Array, { positions }: Mesh, most: number): SpacePoint[] {
  return Array.from({ length: Math.min(most, edges.length / 2) }, (_, edge) => {
    const [a, b] = [at(edges, edge * 2) * 3, at(edges, edge * 2 + 1) * 3];
    const middle = (axis: number) => (at(positions, a + axis) + at(positions, b + axis)) / 2;
    return { x: middle(0), y: middle(1), z: middle(2) };
  });
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
