import type { Checked, SolidCheckKind } from "@twin-petal/core";

/** How a check is told. */
export interface SolidCheckLabel {
  readonly kind: SolidCheckKind;
  /** What is looked at. */
  readonly name: string;
  /** What was found, in words with figures. */
  words: (found: Checked) => string;
}
