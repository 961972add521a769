import type { SpacePoint } from "../geometry/space";
import type { Mesh } from "./mesh";

/** A piece of a surface that hangs together. */
export interface MeshPiece {
  /** The middle of the box around it, millimetres. */
  readonly middle: SpacePoint;
  /** What it encloses, cubic millimetres. */
  readonly volume: number;
}

/** The pieces of a closed surface, in the order of their first corners. */
export function piecesOfMesh({ positions, triangles }: Mesh): MeshPiece[] {
  const rootOf = joinedCorners(positions.length / 3, triangles);
  const pieces = new Map<number, { min: number[]; max: number[]; volume: number }>();
  for (let at = 0; at + 2 < triangles.length; at += 3) {
    const corners = [0, 1, 2].map((k) => triangles[at + k] ?? 0);
    const root = rootOf(corners[0] ?? 0);
    const piece = pieces.get(root) ?? {
      min: [Infinity, Infinity, Infinity],
      max: [-Infinity, -Infinity, -Infinity],
      volume: 0,
    };
    pieces.set(root, piece);
    const [a, b, c] = corners.map((corner) => [0, 1, 2].map((axis) => positions[3 * corner + axis] ?? 0));
    for (const point of [a, b, c]) {
      point?.forEach((value, axis) => {
        piece.min[axis] = Math.min(piece.min[axis] ?? value, value);
        piece.max[axis] = Math.max(piece.max[axis] ?? value, value);
      });
    }
    piece.volume += tetrahedron(a ?? [], b ?? [], c ?? []);
  }
  return Array.from(pieces.values(), ({ min, max, volume }) => {
    const middle = (axis: number) => ((min[axis] ?? 0) + (max[axis] ?? 0)) / 2;
    return { middle: { x: middle(0), y: middle(1), z: middle(2) }, volume };
  });
}

/** Tells of each corner which one stands for all those it hangs together with by way of triangles. */
function joinedCorners(count: number, triangles: Uint32Array): (corner: number) => number {
  const parent = Uint32Array.from({ length: count }, (_, corner) => corner);
  const rootOf = (corner: number): number => {
    let root = corner;
    while (parent[root] !== root) {
      parent[root] = parent[parent[root] ?? root] ?? root;
      root = parent[root] ?? root;
    }
    return root;
  };
  for (let at = 0; at + 2 < triangles.length; at += 3) {
    for (const other of [at + 1, at + 2]) {
      const [one, two] = [rootOf(triangles[at] ?? 0), rootOf(triangles[other] ?? 0)];
      parent[Math.max(one, two)] = Math.min(one, two);
    }
  }
  return rootOf;
}

/** A sixth of the product of three corners: what the tetrahedron from the origin to a triangle encloses, with its sign. */
function tetrahedron(a: readonly number[], b: readonly number[], c: readonly number[]): number {
  const [ax = 0, ay = 0, az = 0] = a;
  const [bx = 0, by = 0, bz = 0] = b;
  const [cx = 0, cy = 0, cz = 0] = c;
  return (ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx)) / 6;
}
