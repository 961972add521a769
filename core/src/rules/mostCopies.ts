import { MOST_COPIES } from "../fields/most";
import { Incomputable } from "../formula/incomputable";
import { MATRIX_STRIDE, type Placements } from "./placements";

/** Refuses more copies than a part may have. */
export function mostCopiesCheck(copies: number): void {
  if (copies <= MOST_COPIES) return;
  const [notes, most] = [copies.toLocaleString("en"), MOST_COPIES.toLocaleString("en")];
  throw new Incomputable("", `makes ${notes} copies together with the rules before it; a part has at most ${most}`);
}

/** No copy is so far away or so large, millimetres and times: beyond it numbers are too coarse to draw anything. */
const FARTHEST = 1e9;

/** Refuses copies that are set down farther, or made larger, than can be drawn. */
export function farthestCheck({ matrices, count }: Placements): void {
  // A plain loop: it goes over every copy after every rule.
  for (let at = 0; at < matrices.length; at++) {
    const entry = matrices[at] ?? NaN;
    if (!(entry <= FARTHEST && entry >= -FARTHEST)) throw tooFar(Math.floor(at / MATRIX_STRIDE), count);
  }
}

function tooFar(index: number, count: number): Incomputable {
  const [copy, all] = [(index + 1).toLocaleString("en"), count.toLocaleString("en")];
  const words = `makes copy ${copy} of ${all} larger, or sets it farther away, than can be drawn`;
  return new Incomputable("", `${words}: lower its count, its scaling or its lengths`);
}
