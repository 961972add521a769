import type { Design } from "@twin-petal/core";
import { produce, type Draft } from "immer";
import { withFreedTools } from "./edits/freedTools";

/** One change a person makes to a design, with the words undo will name it by. */
export interface Edit {
  readonly label: string;
  /** Edits of one gesture, a drag for example, are one step of undo. */
  readonly gesture?: string;
  apply: (draft: Draft<Design>) => void;
}

/** The design after an edit. What was only a tool is made again where the edit took away all that followed it. */
export function applyEdit(design: Design, edit: Edit): Design {
  return withFreedTools(
    design,
    produce(design, (draft) => edit.apply(draft)),
  );
}
