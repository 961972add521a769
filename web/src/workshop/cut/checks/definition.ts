import type { CutChecked, CutCheckKind } from "@twin-petal/core";

/** How a check of cuts is told. */
export interface CutCheckLabel {
  readonly kind: CutCheckKind;
  /** What is looked at. */
  readonly name: string;
  /** What was found, in words with figures. */
  words: (found: CutChecked) => string;
}
