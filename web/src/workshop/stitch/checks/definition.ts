import type { StitchChecked, StitchCheckKind } from "@twin-petal/core";

/** How a check of stitches is told. */
export interface StitchCheckLabel {
  readonly kind: StitchCheckKind;
  /** What is looked at. */
  readonly name: string;
  /** What was found, in words with figures. */
  words: (found: StitchChecked) => string;
}
