import type { ComponentType } from "react";
import type { FormKind, SolidValue } from "@twin-petal/core";

/** What the words of a form are given. */
export interface FormWordsProps {
  readonly part: string;
  readonly solid: SolidValue;
}

/** How a form is told. */
export interface FormLabel {
  readonly kind: FormKind;
  /** What it is called in a sentence. */
  readonly words: string;
  /** The sentence that follows. */
  readonly Words: ComponentType<FormWordsProps>;
}
