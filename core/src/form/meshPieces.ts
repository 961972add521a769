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
  const pieces = new Map<number, Growing>();
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    const root = joined.rootOf(at(triangles, k));
    let piece = pieces.get(root);
    if (!piece) pieces.set(root, (piece = new Growing()));
    piece.add(positions, 3 * at(triangles, k), 3 * at(triangles, k + 1), 3 * at(triangles, k + 2));
    piece.faces.push(k / 3);
  }
  return [...pieces.values()];
}

/** A piece as its triangles come. */
class Growing implements MeshPiece {
  volume = 0;
  area = 0;
  readonly faces: number[] = [];
  private readonly min: [number, number, number] = [Infinity, Infinity, Infinity];
  private readonly max: [number, number, number] = [-Infinity, -Infinity, -Infinity];

  get middle(): SpacePoint {
    const middle = (axis: 0 | 1 | 2) => (this.min[axis] + this.max[axis]) / 2;
    return { x: middle(0), y: middle(1), z: middle(2) };
  }

  /** Adds a triangle whose corners' places begin so far along. */
  add(p: Float32Array, a: number, b: number, c: number): void {
    this.reach(p, a);
    this.reach(p, b);
    this.reach(p, c);
    const [ax, ay, az] = [at(p, a), at(p, a + 1), at(p, a + 2)];
    const [ux, uy, uz] = [at(p, b) - ax, at(p, b + 1) - ay, at(p, b + 2) - az];
    const [vx, vy, vz] = [at(p, c) - ax, at(p, c + 1) - ay, at(p, c + 2) - az];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    // The tetrahedron from the origin to the triangle, with its sign.
    this.volume += (ax * nx + ay * ny + az * nz) / 6;
    this.area += Math.hypot(nx, ny, nz) / 2;
  }

  private reach(p: Float32Array, from: number): void {
    for (let axis = 0; axis < 3; axis++) {
      const value = at(p, from + axis);
      if (value < at(this.min, axis)) this.min[axis] = value;
      if (value > at(this.max, axis)) this.max[axis] = value;
    }
  }
}

/**
 * How many holes go through a closed surface, as topology counts them, all its pieces together: each has χ = 2 − 2 × holes
 * (Euler), and χ = corners − edges + faces, of which every face has one and a half edges to itself.
 */
export function holesOfMesh({ positions, triangles }: Mesh, pieces: number): number {
  return pieces - (positions.length / 3 - triangles.length / 6) / 2;
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
