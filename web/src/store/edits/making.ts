import type { Making } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";

/** Changes the settings of one way of making. */
export function setMaking<W extends keyof Making>(
  way: W,
  change: Partial<Making[W]>,
  label: string,
  gesture?: string,
): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture: `making/${way}/${gesture}` }),
    apply(draft) {
      draft.making = castDraft({ ...draft.making, [way]: { ...draft.making[way], ...change } });
    },
  };
}
