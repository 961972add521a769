import Flatbush from "flatbush";
import { at } from "../geometry/at";
import type { SpacePoint } from "../geometry/space";
import { between, cross, dot } from "../geometry/spaceVectors";
import type { Mesh } from "./mesh";

/** Finds where short ways meet a surface: only faces whose place on the bed a way passes over are looked at. */
export class MeshRays {
  private readonly index: Flatbush | null;

  constructor(private readonly mesh: Mesh) {
    const count = mesh.triangles.length / 3;
    this.index = count === 0 ? null : new Flatbush(count);
    for (let face = 0; face < count; face++) {
      const corners = [0, 1, 2].map((k) => this.corner(3 * face + k));
      const [x, y] = [corners.map((corner) => corner.x), corners.map((corner) => corner.y)];
      this.index?.add(Math.min(...x), Math.min(...y), Math.max(...x), Math.max(...y));
    }
    this.index?.finish();
  }

  /** How far along the way from one point to another the first face is, millimetres; null where there is none on it. */
  reach(from: SpacePoint, to: SpacePoint): number | null {
    const near = this.index?.search(
      Math.min(from.x, to.x),
      Math.min(from.y, to.y),
      Math.max(from.x, to.x),
      Math.max(from.y, to.y),
    );
    const shares = (near ?? []).flatMap((face) => this.meeting(face, from, to) ?? []);
    if (shares.length === 0) return null;
    const least = shares.reduce((first, share) => Math.min(first, share), 1);
    return least * Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  }

  /** The share of the way at which it meets a face (Möller and Trumbore's test); null where it passes. */
  private meeting(face: number, from: SpacePoint, to: SpacePoint): number | null {
    const [a, b, c] = [this.corner(3 * face), this.corner(3 * face + 1), this.corner(3 * face + 2)];
    const [way, one, two, out] = [between(from, to), between(a, b), between(a, c), between(a, from)];
    const across = cross(way, two);
    const det = dot(one, across);
    if (det === 0) return null;
    const u = dot(out, across) / det;
    const along = cross(out, one);
    const v = dot(way, along) / det;
    const share = dot(two, along) / det;
    return u >= 0 && v >= 0 && u + v <= 1 && share >= 0 && share <= 1 ? share : null;
  }

  private corner(k: number): SpacePoint {
    const from = 3 * at(this.mesh.triangles, k);
    const { positions } = this.mesh;
    return { x: at(positions, from), y: at(positions, from + 1), z: at(positions, from + 2) };
  }
}
