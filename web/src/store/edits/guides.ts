import type { Guide } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";

export function addGuide(guide: Guide, label: string): Edit {
  return { label, apply: (draft) => void draft.guides.push(castDraft(guide)) };
}

export function setGuide(index: number, guide: Guide, label: string, gesture?: string): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture: `guide/${index}/${gesture}` }),
    apply(draft) {
      draft.guides[index] = castDraft(guide);
    },
  };
}

export function removeGuide(index: number): Edit {
  return { label: "remove a guide", apply: (draft) => void draft.guides.splice(index, 1) };
}
