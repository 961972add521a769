import type { FlatCheckResult } from "../../cut/checks/definition";
import type { StitchPlan } from "../stitchPlan";
import type { StitchesTold } from "../told";

/** What is looked at: how it is sewn, and what is told of that. */
export interface StitchAsked {
  /** Every stitch. */
  readonly plan: StitchPlan;
  /** Counts, thread and time. */
  readonly told: StitchesTold;
}

/** Something that could go wrong in the sewing. Adding one is a file with one of these and a line in the list. */
export interface StitchCheck<K extends string = string, F extends string = string> {
  /** Its name. */
  readonly kind: K;
  /** Looks at what is to be sewn. */
  check: (asked: StitchAsked) => FlatCheckResult<F>;
}

/** Makes a check. */
export function defineStitchCheck<const K extends string, F extends string>(
  check: StitchCheck<K, F>,
): StitchCheck<K, F> {
  return check;
}
