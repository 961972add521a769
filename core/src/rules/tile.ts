import type { Point } from "../geometry/point";
import type { Size } from "../geometry/size";

/** Multiples of a lattice's sides that are tried. */
const MOST = 64;
/** Off by less than this, millimetres, two places are one. */
const NEAR = 1e-6;

/**
 * The smallest level rectangle a lattice repeats in: the shortest vector of the lattice that is level, by the
 * shortest that is upright. Null where no multiple of its two sides is either. Millimetres.
 */
export function tileOf(a: Point, b: Point): Size | null {
  const width = shortest(a, b, "y");
  const height = shortest(a, b, "x");
  return width === null || height === null ? null : { width, height };
}

/** The length of the shortest vector m·a + n·b that vanishes in one direction. */
function shortest(a: Point, b: Point, vanishing: "x" | "y"): number | null {
  const other = vanishing === "x" ? "y" : "x";
  let best: number | null = null;
  for (let n = 0; n <= MOST; n++) {
    for (let m = -MOST; m <= MOST; m++) {
      if (Math.abs(m * a[vanishing] + n * b[vanishing]) > NEAR) continue;
      const length = Math.abs(m * a[other] + n * b[other]);
      if (length > NEAR && (best === null || length < best)) best = length;
    }
  }
  return best;
}
