import { toRadians } from "./angle";
import type { Cubic } from "./cubic";
import { polar, type Point, ORIGIN } from "./point";

/** Arcs are split so that no piece spans more than this, unless told: a radius is then off by less than 5e-6 of itself. */
const LARGEST_PIECE = 45;
/** Pieces that a small arc may be made of, degrees. */
const PIECES = [150, 120, 90, 60] as const;

/**
 * A circular arc about a centre as cubic segments, from one direction to another (degrees, 0° up,
 * clockwise when `to` is greater). Handle length 4/3·tan(θ/4), the standard one that touches the
 * circle at both ends and the middle. No piece spans more than `largest` degrees.
 */
export function arcSegments(
  radius: number,
  from: number,
  to: number,
  centre: Point = ORIGIN,
  largest = LARGEST_PIECE,
): Cubic[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / largest - 1e-9));
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

/** The same in as few pieces as stay within a distance (millimetres) of the circle. */
export function fewArcSegments(radius: number, from: number, to: number, centre: Point, within: number): Cubic[] {
  const largest = PIECES.find((piece) => radius * radiusOff(piece) <= within) ?? LARGEST_PIECE;
  return arcSegments(radius, from, to, centre, largest);
}

/** How far an arc of one cubic is off at most, of radius 1 and so many degrees: 2/27 · sin⁶(θ/4) / cos²(θ/4). */
function radiusOff(degrees: number): number {
  const quarter = toRadians(degrees) / 4;
  return ((2 / 27) * Math.sin(quarter) ** 6) / Math.cos(quarter) ** 2;
}

/** A full circle of eight segments, clockwise from the top. */
export function circleSegments(radius: number, centre: Point = ORIGIN): Cubic[] {
  return arcSegments(radius, 0, 360, centre);
}
