import { Incomputable } from "../formula/incomputable";
import { MATRIX_STRIDE, type Placements } from "./placements";

/** No copy is so far away or so large, millimetres and times: beyond it numbers are too coarse to draw anything. */
const FARTHEST = 1e9;

/** What no entry of some placements' matrices is beyond. */
export interface Extent {
  /** Of their linear parts. */
  readonly linear: number;
  /** Of their places, millimetres. */
  readonly away: number;
}

/** The extent of flat matrices, as they are. */
export function extentOf(matrices: Float64Array): Extent {
  let [linear, away] = [0, 0];
  for (let at = 0; at < matrices.length; at += MATRIX_STRIDE) {
    const [a, b, c, d] = [matrices[at] ?? 0, matrices[at + 1] ?? 0, matrices[at + 2] ?? 0, matrices[at + 3] ?? 0];
    linear = Math.max(linear, Math.abs(a), Math.abs(b), Math.abs(c), Math.abs(d));
    away = Math.max(away, Math.abs(matrices[at + 4] ?? 0), Math.abs(matrices[at + 5] ?? 0));
  }
  return { linear, away };
}

/** What the extent of all products of two lists is at most. */
export function extentOfProduct(outer: Extent, inner: Extent): Extent {
  return { linear: 2 * outer.linear * inner.linear, away: 2 * outer.linear * inner.away + outer.away };
}

/** Refuses copies that are set down farther, or made larger, than can be drawn; they are looked at only where their extent may be. */
export function farthestCheck({ matrices, count }: Placements, { linear, away }: Extent): void {
  if (linear <= FARTHEST && away <= FARTHEST) return;
  const at = matrices.findIndex((entry) => !(Math.abs(entry) <= FARTHEST));
  if (at < 0) return;
  const copy = (Math.floor(at / MATRIX_STRIDE) + 1).toLocaleString("en");
  const words = `makes copy ${copy} of ${count.toLocaleString("en")} larger, or sets it farther away, than can be drawn`;
  throw new Incomputable("", `${words}: lower its count, its scaling or its lengths`);
}
