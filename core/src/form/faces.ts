import { at } from "../geometry/at";
import type { Mesh } from "./mesh";
import type { SpacePoint } from "../geometry/space";

/** A face as checks look at it. */
export interface Face {
  /** Its middle. */
  readonly middle: SpacePoint;
  /** Its unit vector, pointing out. */
  readonly normal: SpacePoint;
  /** Square millimetres. */
  readonly area: number;
  /** Its highest corner, millimetres above the bed. */
  readonly highest: number;
}

/** A mesh's faces one after the other, those without area left out. */
export function* facesOf({ positions, triangles }: Mesh): Generator<Face> {
  const corner = (k: number): SpacePoint => {
    const from = at(triangles, k) * 3;
    return { x: at(positions, from), y: at(positions, from + 1), z: at(positions, from + 2) };
  };
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    const [a, b, c] = [corner(k), corner(k + 1), corner(k + 2)];
    const [ux, uy, uz] = [b.x - a.x, b.y - a.y, b.z - a.z];
    const [vx, vy, vz] = [c.x - a.x, c.y - a.y, c.z - a.z];
    const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const twice = Math.hypot(x, y, z);
    if (twice < 1e-9) continue;
    yield {
      middle: { x: (a.x + b.x + c.x) / 3, y: (a.y + b.y + c.y) / 3, z: (a.z + b.z + c.z) / 3 },
      normal: { x: x / twice, y: y / twice, z: z / twice },
      area: twice / 2,
      highest: Math.max(a.z, b.z, c.z),
    };
  }
}
