import { repeatWhole } from "@/store/edits/parts";
import { leadingPart } from "@/store/edits/rules";
import { beginWith } from "./begin";
import type { Beginning, MadeMotif } from "./definition";

export const partMotif: MadeMotif = {
  kind: "part",
  name: "whole part",
  promise: "a finished ornament, repeated again",
  mark: (
    <path d="M16 16m-3 0a3 3 0 1 0 6 0 3 3 0 1 0-6 0M16 4a5 4 0 0 1 0 9 5 4 0 0 1 0-9ZM16 19a5 4 0 0 1 0 9 5 4 0 0 1 0-9ZM4 16a4 5 0 0 1 9 0 4 5 0 0 1-9 0ZM19 16a4 5 0 0 1 9 0 4 5 0 0 1-9 0" />
  ),
  Panel: null,
  begin: beginWhole,
};

/** Another part whole: the chosen one for a new part, the nearest one for a part that is there. */
function beginWhole(beginning: Beginning): void {
  const { part, store } = beginning;
  const { edit, choose, chosen, setHand, history } = store.getState();
  const { parts } = history.design;
  const used = part === null ? (chosen ?? parts.at(-1)?.id) : leadingPart(history.design, part);
  const whole = part === null ? parts.find(({ id }) => id === used) : undefined;
  if (!whole) return beginWith(beginning, { kind: "part", part: used ?? "" }, "whole part");
  setHand({ tool: "look" });
  const repeated = repeatWhole(history.design, whole);
  edit(repeated.edit);
  choose(repeated.id);
}
