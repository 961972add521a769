import type { FlatCheckResult } from "../../cut/checks/definition";
import { cutOff } from "./cutOff";
import type { PrintAsked } from "./definition";
import { fits } from "./fits";
import { lightLines } from "./lightLines";
import { resolution } from "./resolution";
import { thinLines } from "./thinLines";

/** Everything that is looked at before something is printed, in order. */
export const PRINT_CHECKS = [fits, cutOff, thinLines, resolution, lightLines] as const;

/** The name of a check. */
export type PrintCheckKind = (typeof PRINT_CHECKS)[number]["kind"];

/** What a check found, with its name. */
export interface PrintChecked extends FlatCheckResult {
  /** Which it is. */
  readonly kind: PrintCheckKind;
}

/** Everything that is looked at before something is printed. */
export function checkPrint(asked: PrintAsked): PrintChecked[] {
  return PRINT_CHECKS.map(({ kind, check }) => ({ kind, ...check(asked) }));
}
