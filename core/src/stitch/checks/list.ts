import type { FlatCheckResult } from "../../cut/checks/definition";
import type { StitchPlan } from "../stitchPlan";
import { toldOfStitches } from "../told";
import { amount } from "./amount";
import { changes } from "./changes";
import { dense } from "./dense";
import { hoop } from "./hoop";
import { jumps } from "./jumps";
import { lengths } from "./lengths";

/** Everything that is looked at before something is sewn, in order. */
export const STITCH_CHECKS = [hoop, lengths, dense, jumps, changes, amount] as const;

/** The name of a check. */
export type StitchCheckKind = (typeof STITCH_CHECKS)[number]["kind"];

/** What a check found, with its name. */
export interface StitchChecked extends FlatCheckResult {
  /** Which it is. */
  readonly kind: StitchCheckKind;
}

/** Everything that is looked at before something is sewn. */
export function checkStitches(plan: StitchPlan): StitchChecked[] {
  const asked = { plan, told: toldOfStitches(plan) };
  return STITCH_CHECKS.map(({ kind, check }) => ({ kind, ...check(asked) }));
}
