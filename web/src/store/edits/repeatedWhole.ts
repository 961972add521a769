import { newPart, type Design } from "@twin-petal/core";
import { castDraft, type Draft } from "immer";
import type { Edit } from "../edit";
import { freshId, freshName } from "./freshId";

/**
 * A new part whose motif is another part, or a group, as a whole. `makeTool` makes that a tool, and answers the number of the part
 * which the new one lies above.
 */
export function repeatedWhole(
  design: Design,
  used: string,
  name: string,
  makeTool: (draft: Draft<Design>) => number,
): { edit: Edit; id: string } {
  const id = freshId(design, `${used}-whole`.slice(-36).replace(/^-+/, ""));
  const part = newPart(id, freshName(design, `${name}, repeated`), { kind: "part", part: used });
  return {
    id,
    edit: {
      label: `repeat “${name}” whole`,
      apply: (draft) => void draft.parts.splice(makeTool(draft) + 1, 0, castDraft(part)),
    },
  };
}
