import { isNumberValue, REST, solidOf, type SolidValue } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

/** Gives a part height, or lays it flat by null. */
export function setSolid(part: string, solid: SolidValue | null, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      draft.solid = castDraft(solid);
    },
    gesture && `${part}/solid/${gesture}`,
  );
}

/** Changes some of a part's solid. */
export function changeSolid(part: string, change: Partial<SolidValue>, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      if (draft.solid) draft.solid = castDraft({ ...draft.solid, ...change });
    },
    gesture && `${part}/solid/${gesture}`,
  );
}

/** What a part that is made solid begins as. */
export const FIRST_SOLID: SolidValue = solidOf({ depth: 4, lift: REST });

/** The lift of a part that rested, as a number again. */
export const liftOf = ({ lift }: SolidValue) => (isNumberValue(lift) && lift !== REST ? lift : 0);
