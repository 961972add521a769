import type { FlatCheckResult } from "../../cut/checks/definition";
import type { Scene } from "../../scene/scene";
import type { PrintLayout, PrintSettings } from "../layout";

/** What checks of a print look at. */
export interface PrintAsked {
  /** What is printed. */
  readonly scene: Scene;
  /** How it lies on pages. */
  readonly layout: PrintLayout;
  /** How it is printed. */
  readonly settings: PrintSettings;
}

/** Something that could go wrong in the printing. Adding one is a file with one of these and a line in the list. */
export interface PrintCheck<K extends string = string, F extends string = string> {
  /** Its name. */
  readonly kind: K;
  /** Looks at what is to be printed. */
  check: (asked: PrintAsked) => FlatCheckResult<F>;
}

/** Makes a check. */
export function definePrintCheck<const K extends string, F extends string>(check: PrintCheck<K, F>): PrintCheck<K, F> {
  return check;
}
