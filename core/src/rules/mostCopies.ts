import { MOST_COPIES } from "../fields/most";
import { Incomputable } from "../formula/incomputable";

/** Refuses more copies than a part may have. */
export function mostCopiesCheck(copies: number): void {
  if (copies <= MOST_COPIES) return;
  const [notes, most] = [copies.toLocaleString("en"), MOST_COPIES.toLocaleString("en")];
  throw new Incomputable("", `makes ${notes} copies together with the rules before it; a part has at most ${most}`);
}
