import { cosDegrees, sinDegrees } from "./angle";
import type { Point } from "./point";

/**
 * An affine map as in SVG: x' = a·x + c·y + e, y' = b·x + d·y + f. Lengths in millimetres.
 */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** The map that leaves everything where it is. */
export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** `outer · inner`: the map that applies `inner` first. */
export function multiply(outer: Matrix, inner: Matrix): Matrix {
  const [a, b, c, d, e, f] = outer;
  const [g, h, i, j, k, l] = inner;
  return [a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f];
}

/** The map that moves by x and y, millimetres. */
export function translation(x: number, y: number): Matrix {
  return [1, 0, 0, 1, x, y];
}

/** A clockwise turn about the origin, in degrees. */
export function rotation(degrees: number): Matrix {
  const cos = cosDegrees(degrees);
  const sin = sinDegrees(degrees);
  return [cos, sin, -sin, cos, 0, 0];
}

/** The map that scales about the origin. */
export function scaling(x: number, y: number = x): Matrix {
  return [x, 0, 0, y, 0, 0];
}

/** The same map with the origin moved to `pivot`. */
export function about(pivot: Point, matrix: Matrix): Matrix {
  return multiply(multiply(translation(pivot.x, pivot.y), matrix), translation(-pivot.x, -pivot.y));
}

/** Mirror image across the line through a point; 0° is an upright line, clockwise. */
export function reflection(degrees: number, through: Point): Matrix {
  const cos = cosDegrees(2 * degrees);
  const sin = sinDegrees(2 * degrees);
  return about(through, [-cos, -sin, -sin, cos, 0, 0]);
}

/** By how much a map scales areas; below 0 where it mirrors. */
export function determinant([a, b, c, d]: Matrix): number {
  return a * d - b * c;
}

/** How much the map enlarges lengths on the whole: the square root of its area factor. */
export function sizeOf(matrix: Matrix): number {
  return Math.sqrt(Math.abs(determinant(matrix)));
}

/** Whether a map keeps shapes: lines stay as wide all around. */
export function isSimilar([a, b, c, d]: Matrix): boolean {
  const size = Math.hypot(a, b);
  return Math.abs(Math.hypot(c, d) - size) < 1e-6 * size && Math.abs(a * c + b * d) < 1e-6 * size * size;
}

/** The inverse map, or null when the map flattens the plane and has none. */
export function invert(matrix: Matrix): Matrix | null {
  const [a, b, c, d, e, f] = matrix;
  const det = determinant(matrix);
  if (det === 0 || !Number.isFinite(det)) return null;
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

/** The image of a point under a map. */
export function apply([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point {
  return { x: a * x + c * y + e, y: b * x + d * y + f };
}

/** The one point the map leaves in place, or null when it has none or a whole line of them. */
export function fixedPoint([a, b, c, d, e, f]: Matrix): Point | null {
  const det = (1 - a) * (1 - d) - b * c;
  if (Math.abs(det) < 1e-12) return null;
  return { x: ((1 - d) * e + c * f) / det, y: ((1 - a) * f + b * e) / det };
}
