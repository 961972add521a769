import type { PrintChecked, PrintCheckKind } from "@twin-petal/core";

/** How a check of prints is told. */
export interface PrintCheckLabel {
  readonly kind: PrintCheckKind;
  /** What is looked at. */
  readonly name: string;
  /** What was found, in words with figures. */
  words: (found: PrintChecked) => string;
}
