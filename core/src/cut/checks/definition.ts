import type { Point } from "../../geometry/point";
import type { CutPlan } from "../plan";

/** How a check came out: nothing stands against making it, something may, something does. */
export type FlatCheckState = "passed" | "doubtful" | "failed";

/** What a check of something flat found. */
export interface FlatCheckResult<F extends string = string> {
  /** How it came out. */
  readonly state: FlatCheckState;
  /** What was measured, by name. Millimetres, square millimetres, seconds. */
  readonly figures: Readonly<Record<F, number>>;
  /** Where it is on the sheet, the worst first. */
  readonly places: readonly Point[];
}

/** Something that could go wrong in the cutting. Adding one is a file with one of these and a line in the list. */
export interface CutCheck<K extends string = string, F extends string = string> {
  /** Its name. */
  readonly kind: K;
  /** Looks at what is to be cut. The geometry engine must have been loaded. */
  check: (plan: CutPlan) => FlatCheckResult<F>;
}

/** Makes a check. */
export function defineCutCheck<const K extends string, F extends string>(check: CutCheck<K, F>): CutCheck<K, F> {
  return check;
}
