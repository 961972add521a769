import { at } from "../geometry/at";
import { DisjointSets } from "../geometry/disjointSets";
import type { SpacePoint } from "../geometry/space";
import type { Mesh } from "./mesh";

/** A piece of a surface that hangs together. */
export interface MeshPiece {
  /** The middle of the box around it, millimetres. */
  readonly middle: SpacePoint;
  /** What it encloses, cubic millimetres; of a hollow within another piece less than nothing. */
  readonly volume: number;
  /** Its surface, square millimetres. */
  readonly area: number;
  /** Its triangles, by number. */
  readonly faces: readonly number[];
}

/** The pieces of a closed surface, in the order of their first corners. */
export function piecesOfMesh(mesh: Mesh): MeshPiece[] {
  const { positions, triangles } = mesh;
  const joined = joinedCorners(mesh);
  const pieces = new Map<number, { min: number[]; max: number[]; volume: number; area: number; faces: number[] }>();
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    const corners = [at(triangles, k), at(triangles, k + 1), at(triangles, k + 2)] as const;
    const root = joined.rootOf(corners[0]);
    const piece = pieces.get(root) ?? {
      min: [Infinity, Infinity, Infinity],
      max: [-Infinity, -Infinity, -Infinity],
      volume: 0,
      area: 0,
      faces: [],
    };
    pieces.set(root, piece);
    const [a, b, c] = [pointAt(positions, corners[0]), pointAt(positions, corners[1]), pointAt(positions, corners[2])];
    for (const point of [a, b, c]) {
      point.forEach((value, axis) => {
        piece.min[axis] = Math.min(piece.min[axis] ?? value, value);
        piece.max[axis] = Math.max(piece.max[axis] ?? value, value);
      });
    }
    piece.volume += tetrahedron(a, b, c);
    piece.area += triangleArea(a, b, c);
    piece.faces.push(k / 3);
  }
  return Array.from(pieces.values(), ({ min, max, ...piece }) => {
    const middle = (axis: number) => (at(min, axis) + at(max, axis)) / 2;
    return { ...piece, middle: { x: middle(0), y: middle(1), z: middle(2) } };
  });
}

/**
 * How many holes go through a closed surface, as topology counts them, all its pieces together: each has χ = 2 − 2 × holes
 * (Euler), and χ = corners − edges + faces, of which every face has one and a half edges to itself.
 */
export function holesOfMesh({ positions, triangles }: Mesh, pieces: number): number {
  return pieces - (positions.length / 3 - triangles.length / 6) / 2;
}

type Point = readonly [number, number, number];

function pointAt(positions: Float32Array, corner: number): Point {
  return [at(positions, 3 * corner), at(positions, 3 * corner + 1), at(positions, 3 * corner + 2)];
}

/** The corners that hang together by way of triangles. */
function joinedCorners({ positions, triangles }: Mesh): DisjointSets {
  const sets = new DisjointSets(positions.length / 3);
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    sets.join(at(triangles, k), at(triangles, k + 1));
    sets.join(at(triangles, k), at(triangles, k + 2));
  }
  return sets;
}

/** A sixth of the product of three corners: what the tetrahedron from the origin to a triangle encloses, with its sign. */
function tetrahedron([ax, ay, az]: Point, [bx, by, bz]: Point, [cx, cy, cz]: Point): number {
  return (ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx)) / 6;
}

function triangleArea([ax, ay, az]: Point, [bx, by, bz]: Point, [cx, cy, cz]: Point): number {
  const [ux, uy, uz] = [bx - ax, by - ay, bz - az];
  const [vx, vy, vz] = [cx - ax, cy - ay, cz - az];
  return Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2;
}
