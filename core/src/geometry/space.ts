import type { Matrix } from "./matrix";
import type { Point } from "./point";

/**
 * An affine map of space as twelve numbers: where x, y and z are taken, then the origin, three numbers each.
 * Millimetres; x to the right, y away from the viewer (the sheet's −y), z up.
 */
export type SpaceMatrix = readonly [
  ...x: [number, number, number],
  ...y: [number, number, number],
  ...z: [number, number, number],
  ...origin: [number, number, number],
];

/** Numbers one placement in space takes in a flat array. */
export const SPACE_STRIDE = 12;

/** A point in space, millimetres. */
export interface SpacePoint extends Point {
  /** Millimetres above the bed. */
  readonly z: number;
}

/** Angles about the three axes, degrees. */
export type Tilt = SpacePoint;

/** The map that leaves everything where it is. */
export const SPACE_IDENTITY: SpaceMatrix = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0];

/** First `b`, then `a`. */
export function multiplySpace(a: SpaceMatrix, b: SpaceMatrix): SpaceMatrix {
  const [x0, x1, x2, y0, y1, y2, z0, z1, z2, o0, o1, o2] = a;
  const column = (x: number, y: number, z: number): [number, number, number] => [
    x0 * x + y0 * y + z0 * z,
    x1 * x + y1 * y + z1 * z,
    x2 * x + y2 * y + z2 * z,
  ];
  const [p, q, r] = column(b[9], b[10], b[11]);
  return [
    ...column(b[0], b[1], b[2]),
    ...column(b[3], b[4], b[5]),
    ...column(b[6], b[7], b[8]),
    p + o0,
    q + o1,
    r + o2,
  ];
}

/** A map moved on by a length in each direction. */
export function movedSpace(x: number, y: number, z: number): SpaceMatrix {
  return [1, 0, 0, 0, 1, 0, 0, 0, 1, x, y, z];
}

/**
 * Turned about the origin: by x degrees so that the tip (+y) rises, then by y so that the right side (+x) rises, then
 * by z clockwise as seen from above.
 */
export function tilted({ x, y, z }: Tilt): SpaceMatrix {
  return multiplySpace(aboutZ(z), multiplySpace(aboutY(y), aboutX(x)));
}

function turning(degrees: number): readonly [cos: number, sin: number] {
  const angle = (degrees * Math.PI) / 180;
  return [Math.cos(angle), Math.sin(angle)];
}

function aboutX(degrees: number): SpaceMatrix {
  const [c, s] = turning(degrees);
  return [1, 0, 0, 0, c, s, 0, -s, c, 0, 0, 0];
}

function aboutY(degrees: number): SpaceMatrix {
  const [c, s] = turning(degrees);
  return [c, 0, s, 0, 1, 0, -s, 0, c, 0, 0, 0];
}

function aboutZ(degrees: number): SpaceMatrix {
  const [c, s] = turning(degrees);
  return [c, -s, 0, s, c, 0, 0, 0, 1, 0, 0, 0];
}

/** A placement on the sheet (y down) as one in space, raised by a length and its height multiplied. */
export function spaceOfPlane([a, b, c, d, e, f]: Matrix, rise: number, zScale: number): SpaceMatrix {
  return [a, -b, 0, -c, d, 0, 0, 0, zScale, e, -f, rise];
}

/** How much a map multiplies volume by; negative where it mirrors. */
export function spaceDeterminant([a, b, c, d, e, f, g, h, i]: SpaceMatrix): number {
  return a * (e * i - f * h) - d * (b * i - c * h) + g * (b * f - c * e);
}

/** How much a map lengthens lengths at most, to within a factor of √3: for tolerances. */
export function spaceStretch([a, b, c, d, e, f, g, h, i]: SpaceMatrix): number {
  return Math.max(Math.hypot(a, b, c), Math.hypot(d, e, f), Math.hypot(g, h, i));
}

/** Where a map takes a point. */
export function applySpace(m: SpaceMatrix, { x, y, z }: SpacePoint): SpacePoint {
  return {
    x: m[0] * x + m[3] * y + m[6] * z + m[9],
    y: m[1] * x + m[4] * y + m[7] * z + m[10],
    z: m[2] * x + m[5] * y + m[8] * z + m[11],
  };
}

/** The map of one number in a flat array. */
export function spaceAt(flat: Float64Array, index: number): SpaceMatrix {
  const from = index * SPACE_STRIDE;
  const n = (offset: number) => flat[from + offset] ?? 0;
  return [n(0), n(1), n(2), n(3), n(4), n(5), n(6), n(7), n(8), n(9), n(10), n(11)];
}
