import type { CutPlan } from "../plan";
import { amount } from "./amount";
import { crossing } from "./crossing";
import type { FlatCheckResult } from "./definition";
import { doubled } from "./doubled";
import { entries } from "./entries";
import { fits } from "./fits";
import { islands } from "./islands";
import { narrow } from "./narrow";
import { open } from "./open";
import { small } from "./small";

/** Everything that is looked at before something is cut, in order. */
export const CUT_CHECKS = [fits, islands, open, doubled, crossing, entries, small, narrow, amount] as const;

/** The name of a check. */
export type CutCheckKind = (typeof CUT_CHECKS)[number]["kind"];

/** What a check found, with its name. */
export interface CutChecked extends FlatCheckResult {
  /** Which it is. */
  readonly kind: CutCheckKind;
}

/** Everything that is looked at before something is cut. The geometry engine must have been loaded. */
export function checkCut(plan: CutPlan): CutChecked[] {
  return CUT_CHECKS.map(({ kind, check }) => ({ kind, ...check(plan) }));
}
