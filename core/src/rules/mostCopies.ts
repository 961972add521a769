import { MOST_COPIES } from "../fields/most";
import { RuleTrouble } from "./ruleTrouble";

/** Refuses more copies than a part may have. */
export function mostCopiesCheck(copies: number): void {
  if (copies <= MOST_COPIES) return;
  const [notes, most] = [copies.toLocaleString("en"), MOST_COPIES.toLocaleString("en")];
  throw new RuleTrouble("", `makes ${notes} copies together with the rules before it; a part has at most ${most}`);
}
