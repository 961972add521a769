import { FULL_TURN, toDegrees, toRadians } from "./angle";
import type { Point } from "./point";

/** Half axes across and up, millimetres. */
export interface EllipseRadii {
  readonly x: number;
  readonly y: number;
}

/** Intervals of the length table; Simpson's rule on them is exact to about 1e-10 of the length. */
const INTERVALS = 1440;

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
  const start = toRadians(from);
  const step = toRadians(to - from) / INTERVALS;
  const lengths = new Float64Array(INTERVALS + 1);
  for (let k = 0; k < INTERVALS; k++) {
    const t = start + k * step;
    const simpson = speed(radii, t) + 4 * speed(radii, t + step / 2) + speed(radii, t + step);
    lengths[k + 1] = (lengths[k] ?? 0) + (simpson * step) / 6;
  }
  const total = lengths[INTERVALS] ?? 0;
  return (share) => {
    const wanted = share * total;
    const k = intervalOf(lengths, wanted);
    const before = lengths[k] ?? 0;
    let t = start + k * step;
    // Newton steps, each measuring the short piece from the table's mark by Simpson's rule.
    const mark = t;
    for (let round = 0; round < 3; round++) {
      const middle = (mark + t) / 2;
      const piece = ((speed(radii, mark) + 4 * speed(radii, middle) + speed(radii, t)) * (t - mark)) / 6;
      t += (wanted - before - piece) / speed(radii, t);
    }
    return toDegrees(t);
  };
}

function intervalOf(lengths: Float64Array, wanted: number): number {
  const sign = (lengths[lengths.length - 1] ?? 0) < 0 ? -1 : 1;
  let low = 0;
  let high = lengths.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((lengths[middle] ?? 0) * sign <= wanted * sign) low = middle;
    else high = middle - 1;
  }
  return low;
}
