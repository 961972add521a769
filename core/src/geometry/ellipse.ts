import { FULL_TURN, toDegrees, toRadians } from "./angle";
import { evenlyAlong } from "./evenly";
import type { Point } from "./point";

/** Half axes across and up, millimetres. */
export interface EllipseRadii {
  /** Half its width. */
  readonly x: number;
  /** Half its height. */
  readonly y: number;
}

/** The point at an eccentric angle (degrees, 0° up, clockwise). */
export function pointOnEllipse(radii: EllipseRadii, eccentric: number): Point {
  const t = toRadians(eccentric);
  return { x: radii.x * Math.sin(t), y: -radii.y * Math.cos(t) };
}

/** The direction outwards, square to the ellipse, at an eccentric angle. Degrees. */
export function outwardAt(radii: EllipseRadii, eccentric: number): number {
  const t = toRadians(eccentric);
  return toDegrees(Math.atan2(radii.y * Math.sin(t), radii.x * Math.cos(t)));
}

/** The eccentric angle of the point seen from the centre in a direction. Keeps whole turns. Degrees. */
export function eccentricOf(radii: EllipseRadii, seen: number): number {
  const t = toRadians(seen);
  const eccentric = toDegrees(Math.atan2(Math.sin(t) / radii.x, Math.cos(t) / radii.y));
  return eccentric + FULL_TURN * Math.round((seen - eccentric) / FULL_TURN);
}

function speed(radii: EllipseRadii, t: number): number {
  return Math.hypot(radii.x * Math.cos(t), radii.y * Math.sin(t));
}

/**
 * A function from a share (0…1) of the arc's length to the eccentric angle there. The arc runs from
 * one eccentric angle to another (degrees).
 */
export function evenAlongEllipse(radii: EllipseRadii, from: number, to: number): (share: number) => number {
  const along = evenlyAlong((t) => speed(radii, t), toRadians(from), toRadians(to));
  return (share) => toDegrees(along(share));
}
