import { MOST_COPIES } from "../design/most";
import { RuleTrouble } from "./ruleTrouble";

/** Refuses more copies than a part may have. */
export function mostCopiesCheck(copies: number): void {
  if (copies <= MOST_COPIES) return;
  const told = copies.toLocaleString("en");
  throw new RuleTrouble("", `makes ${told} copies together with the rules before it; a part has at most 200,000`);
}
