import type { StitchPlan } from "./stitchPlan";
import { isPierced } from "./sewnThread";

/** How close needle points stand, square by square. */
export interface DensityMap {
  /** The left edge, millimetres on the sheet. */
  readonly left: number;
  /** The upper edge. */
  readonly top: number;
  /** The side of a square. */
  readonly side: number;
  /** Squares across. */
  readonly columns: number;
  /** Squares down. */
  readonly rows: number;
  /** Needle points a square millimetre in each, row by row. */
  readonly densities: Float32Array;
}

/** Squares are so large, millimetres: then what is counted in one is the density. */
const SIDE = 1;

/** How close the needle points of a plan stand. */
export function densityOf({ x, y, how }: Pick<StitchPlan, "x" | "y" | "how">): DensityMap {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let k = 0; k < x.length; k++) {
    left = Math.min(left, x[k] ?? 0);
    right = Math.max(right, x[k] ?? 0);
    top = Math.min(top, y[k] ?? 0);
    bottom = Math.max(bottom, y[k] ?? 0);
  }
  if (!(right >= left)) return { left: 0, top: 0, side: SIDE, columns: 0, rows: 0, densities: new Float32Array(0) };
  [left, top] = [Math.floor(left / SIDE) * SIDE, Math.floor(top / SIDE) * SIDE];
  const columns = Math.floor((right - left) / SIDE) + 1;
  const rows = Math.floor((bottom - top) / SIDE) + 1;
  const counts = new Float32Array(columns * rows);
  for (let k = 0; k < x.length; k++) {
    if (!isPierced(how, k)) continue;
    const at = Math.floor(((y[k] ?? 0) - top) / SIDE) * columns + Math.floor(((x[k] ?? 0) - left) / SIDE);
    counts[at] = (counts[at] ?? 0) + 1;
  }
  return { left, top, side: SIDE, columns, rows, densities: counts };
}
