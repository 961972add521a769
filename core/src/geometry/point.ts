import { cosDegrees, normaliseDegrees, sinDegrees, toDegrees } from "./angle";

/** A place on the sheet or in a motif's own space: millimetres, x to the right, y down. */
export type Point = {
  readonly x: number;
  readonly y: number;
};

/** The point 0, 0. */
export const ORIGIN: Point = { x: 0, y: 0 };

/** The point at a distance from a centre in a direction: 0° is up, angles run clockwise. */
export function polar(radius: number, degrees: number, centre: Point = ORIGIN): Point {
  return {
    x: centre.x + radius * sinDegrees(degrees),
    y: centre.y - radius * cosDegrees(degrees),
  };
}

/** The distance of two points, millimetres. */
export function distance(a: Point, b: Point): number {
  const [x, y] = [a.x - b.x, a.y - b.y];
  return Math.sqrt(x * x + y * y);
}

/** The direction from one point to another in degrees, 0° up, clockwise, in [0, 360). */
export function directionOf(from: Point, to: Point): number {
  return normaliseDegrees(toDegrees(Math.atan2(to.x - from.x, from.y - to.y)));
}

/** The mean of points; the origin of none. */
export function meanOf(points: readonly Point[]): Point {
  const count = Math.max(1, points.length);
  const sum = (pick: (point: Point) => number) => points.reduce((total, point) => total + pick(point), 0);
  return { x: sum(({ x }) => x) / count, y: sum(({ y }) => y) / count };
}

/** The point at a share (0…1) of the way from one to another. */
export function between(a: Point, b: Point, t: number): Point {
  return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
}
