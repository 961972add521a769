import type { Design } from "@twin-petal/core";
import { produce, type Draft } from "immer";

/** One change a person makes to a design, with the words undo will name it by. */
export interface Edit {
  readonly label: string;
  /** Edits of one gesture, a drag for example, are one step of undo. */
  readonly gesture?: string;
  apply: (draft: Draft<Design>) => void;
}

export function applyEdit(design: Design, edit: Edit): Design {
  return produce(design, (draft) => edit.apply(draft));
}
