import { MOST_COPIES } from "../design/most";
import { RuleTrouble } from "./ruleTrouble";

/** Refuses more copies than a part may have. */
export function mostCopiesCheck(copies: number): void {
  if (copies <= MOST_COPIES) return;
  const [told, most] = [copies.toLocaleString("en"), MOST_COPIES.toLocaleString("en")];
  throw new RuleTrouble("", `makes ${told} copies together with the rules before it; a part has at most ${most}`);
}
