import type { Edit } from "./edit";

/** A number a person has last touched: neighbours are pictures at nearby values of it. */
export interface NumberAtHand {
  readonly kind: "number";
  /** Tells it from all others on the desk. */
  readonly id: string;
  readonly label: string;
  /** In its unit, as shown. */
  readonly value: number;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  /** Whether it is a plain number that can be given a name. */
  readonly nameable: boolean;
  show: (value: number) => string;
  /** Sets it, through the desk's `edit`. */
  set: (value: number) => void;
  /** Puts a formula in its place. */
  setFormula: (formula: string) => void;
  /** The value as the design stores it. */
  readonly stored: number;
}

/** A choice a person has last touched: neighbours are pictures of all its values. */
interface ChoiceAtHand {
  readonly kind: "choice";
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly { readonly value: string; readonly words: string }[];
  set: (value: string) => void;
}

export type AtHand = NumberAtHand | ChoiceAtHand;

/** Several edits as one step of undo. */
export function together(label: string, edits: readonly Edit[], gesture?: string): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture }),
    apply: (draft) => {
      for (const edit of edits) edit.apply(draft);
    },
  };
}
