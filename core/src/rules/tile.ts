import type { Point } from "../geometry/point";

/** How something goes on for ever: the level and the upright distance after which it is the same again, millimetres. */
export interface Period {
  /** To the right. */
  readonly width: number;
  /** Null for a band, which goes on level only. */
  readonly height: number | null;
}

/** Multiples of a lattice's sides that are tried. */
const MOST = 64;
/** Off by less than this, millimetres, two places are one. */
const NEAR = 1e-6;

/**
 * The smallest level rectangle a lattice repeats in: the shortest vector of the lattice that is level, by the
 * shortest that is upright. Null where no multiple of its two sides is either. Millimetres.
 */
export function tileOf(a: Point, b: Point): Period | null {
  const [across, down] = [shortestVector(a, b, "y"), shortestVector(a, b, "x")];
  return across === null || down === null ? null : { width: across.length, height: down.length };
}

/** A vector m·a + n·b of a lattice that is level, or upright, and its length in millimetres. */
export interface LatticeVector {
  /** How often along the first side. */
  readonly m: number;
  /** How often along the second side. */
  readonly n: number;
  /** Millimetres. */
  readonly length: number;
}

/** The shortest vector of a lattice that vanishes in one direction; null where none is found. */
export function shortestVector(a: Point, b: Point, vanishing: "x" | "y"): LatticeVector | null {
  const other = vanishing === "x" ? "y" : "x";
  let best: LatticeVector | null = null;
  for (let n = 0; n <= MOST; n++) {
    for (let m = -MOST; m <= MOST; m++) {
      if (Math.abs(m * a[vanishing] + n * b[vanishing]) > NEAR) continue;
      const length = Math.abs(m * a[other] + n * b[other]);
      if (length > NEAR && (best === null || length < best.length - NEAR)) best = { m, n, length };
    }
  }
  return best;
}
