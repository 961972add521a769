import type { Join } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

export function setJoin(part: string, change: Partial<Join>, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      draft.join = castDraft({ ...draft.join, ...change });
    },
    gesture && `${part}/join/${gesture}`,
  );
}

/** Lets one part cut another or keep it; what only cuts or keeps is no longer made by itself. */
export function limitBy(part: string, limiter: string, change: Partial<Join>, label: string): Edit {
  const set = setJoin(part, change, label);
  return {
    label,
    apply(draft) {
      set.apply(draft);
      const other = draft.parts.find(({ id }) => id === limiter);
      if (other?.role === "show") other.role = "tool";
    },
  };
}
