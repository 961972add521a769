import { LINE_DEFAULT, type Finish, type LineValue } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

export function setFinish<K extends keyof Finish>(
  part: string,
  key: K,
  value: Finish[K],
  label: string,
  gesture?: string,
): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const finish: Finish = { ...draft.finish, [key]: value };
      draft.finish = castDraft(finish);
    },
    gesture,
  );
}

/** Changes a part's line, giving it one where it has none. */
export function setLine(part: string, change: Partial<LineValue>, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      draft.finish.line = castDraft({ ...LINE_DEFAULT, ...draft.finish.line, ...change });
    },
    gesture,
  );
}
