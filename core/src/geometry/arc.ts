import { toRadians } from "./angle";
import type { Cubic } from "./cubic";
import { polar, type Point, ORIGIN } from "./point";

/** Arcs are split so that no piece spans more than this: a radius is then off by less than 5e-6 of itself. */
const LARGEST_PIECE = 45;

/**
 * A circular arc about a centre as cubic segments, from one direction to another (degrees, 0° up,
 * clockwise when `to` is greater). Handle length 4/3·tan(θ/4), the standard one that touches the
 * circle at both ends and the middle.
 */
export function arcSegments(radius: number, from: number, to: number, centre: Point = ORIGIN): Cubic[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / LARGEST_PIECE - 1e-9));
  const step = (to - from) / pieces;
  const handle = (4 / 3) * Math.tan(toRadians(step) / 4) * radius;
  return Array.from({ length: pieces }, (_, index): Cubic => {
    const a = from + index * step;
    const b = index === pieces - 1 ? to : a + step;
    const start = polar(radius, a, centre);
    const end = polar(radius, b, centre);
    return [start, polar(handle, a + 90, start), polar(-handle, b + 90, end), end];
  });
}

/** A full circle of eight segments, clockwise from the top. */
export function circleSegments(radius: number, centre: Point = ORIGIN): Cubic[] {
  return arcSegments(radius, 0, 360, centre);
}
