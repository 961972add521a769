import { at } from "../geometry/at";
import { DisjointSets } from "../geometry/disjointSets";
import { addTo } from "../geometry/keyedLists";
import type { SpacePoint } from "../geometry/space";
import { between, cross, dot } from "../geometry/spaceVectors";
import type { Mesh } from "./mesh";

/**
 * The same surface, each sheet of faces that meets at a corner having that corner to itself: where two pieces touch at an edge
 * or a point, each has its own. Of more than two faces on an edge those belong together that have what is solid between them.
 */
export function withOwnCorners({ positions, triangles }: Mesh): Mesh {
  const sheets = new DisjointSets(triangles.length);
  for (const sides of sidesByEdge(triangles).values()) {
    const pairs =
      sides.length === 2 ? [[at(sides, 0), at(sides, 1)] as const] : pairsAround(sides, { positions, triangles });
    for (const [one, other] of pairs) {
      // A side begins at its own corner and ends at the next; the other face runs the other way.
      sheets.join(one, nextSide(other));
      sheets.join(nextSide(one), other);
    }
  }
  return numbered(positions, triangles, sheets);
}

/** The first sheet at a corner keeps its number, each further one has a new one. */
function numbered(positions: Float32Array, triangles: Uint32Array, sheets: DisjointSets): Mesh {
  const names = new Map<number, number>();
  const owned = new Set<number>();
  const more: number[] = [];
  const named = triangles.map((corner, side) => {
    const sheet = sheets.rootOf(side);
    const known = names.get(sheet);
    if (known !== undefined) return known;
    const name = owned.has(corner) ? (positions.length + more.length) / 3 : corner;
    if (owned.has(corner)) more.push(...positions.subarray(3 * corner, 3 * corner + 3));
    owned.add(corner);
    names.set(sheet, name);
    return name;
  });
  if (more.length === 0) return { positions, triangles };
  const all = new Float32Array(positions.length + more.length);
  all.set(positions);
  all.set(more, positions.length);
  return { positions: all, triangles: named };
}

const nextSide = (side: number) => (side % 3 === 2 ? side - 2 : side + 1);

/** The sides of triangles by the edge they lie on, whichever way they run. */
function sidesByEdge(triangles: Uint32Array): Map<number, number[]> {
  const edges = new Map<number, number[]>();
  triangles.forEach((a, side) => {
    const b = at(triangles, nextSide(side));
    // Two corner numbers below 2²⁶ make one exact key.
    const key = Math.min(a, b) * 2 ** 26 + Math.max(a, b);
    addTo(edges, key, side);
  });
  return edges;
}

/** Around an edge, each face whose inside lies ahead with the next one whose inside lies behind. */
function pairsAround(sides: readonly number[], { positions, triangles }: Mesh): [number, number][] {
  const point = (corner: number): SpacePoint => ({
    x: at(positions, 3 * corner),
    y: at(positions, 3 * corner + 1),
    z: at(positions, 3 * corner + 2),
  });
  const first = at(sides, 0);
  const [from, to] = [at(triangles, first), at(triangles, nextSide(first))];
  const [foot, axis] = [point(from), between(point(from), point(to))];
  const across = perpendicular(axis);
  const up = cross(axis, across);
  const around = sides.map((side) => {
    const apex = between(foot, point(at(triangles, nextSide(nextSide(side)))));
    const angle = Math.atan2(dot(apex, up) / Math.sqrt(dot(axis, axis)), dot(apex, across));
    // Faces that run with the edge have their inside behind them, going round anticlockwise.
    return { side, angle, isEnd: at(triangles, side) === from };
  });
  const sorted = around.sort((a, b) => a.angle - b.angle || Number(a.isEnd) - Number(b.isEnd));
  const start = sorted.findIndex(({ isEnd }) => !isEnd);
  const turned = [...sorted.slice(start), ...sorted.slice(0, start)];
  const open: number[] = [];
  const pairs: [number, number][] = [];
  for (const { side, isEnd } of turned) {
    if (!isEnd) open.push(side);
    else pairs.push([open.pop() ?? side, side]);
  }
  return pairs;
}

/** Some unit vector at right angles to another. */
function perpendicular(axis: SpacePoint): SpacePoint {
  const [x, y, z] = [Math.abs(axis.x), Math.abs(axis.y), Math.abs(axis.z)];
  const least = Math.min(x, y, z);
  const found = cross(axis, {
    x: x === least ? 1 : 0,
    y: x !== least && y === least ? 1 : 0,
    z: x !== least && y !== least ? 1 : 0,
  });
  const length = Math.sqrt(dot(found, found));
  return { x: found.x / length, y: found.y / length, z: found.z / length };
}
