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
  const at = matrices.findIndex((entry) => !(Math.abs(entry) <= FARTHEST));
  if (at < 0) return;
  const copy = (Math.floor(at / MATRIX_STRIDE) + 1).toLocaleString("en");
  const words = `makes copy ${copy} of ${count.toLocaleString("en")} larger, or sets it farther away, than can be drawn`;
  throw new Incomputable("", `${words}: lower its count, its scaling or its lengths`);
}
