import type { Design } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";

/** The whole design as it was at another time, in one step that can be undone. */
export function goBackTo(design: Design, label: string): Edit {
  return { label, apply: (draft) => void Object.assign(draft, castDraft(design)) };
}
