import type { SpacePoint } from "./space";

/** The way from one point in space to another. */
export const between = (from: SpacePoint, to: SpacePoint): SpacePoint => ({
  x: to.x - from.x,
  y: to.y - from.y,
  z: to.z - from.z,
});

/** The scalar product. */
export const dot = (a: SpacePoint, b: SpacePoint): number => a.x * b.x + a.y * b.y + a.z * b.z;

/** The vector product: at right angles to both, by the right hand. */
export function cross(a: SpacePoint, b: SpacePoint): SpacePoint {
  return { x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x };
}
