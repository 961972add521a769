import { freshNumberName, type NamedNumber } from "@twin-petal/core";
import { together, type NumberAtHand } from "../atHand";
import type { DeskStore } from "../deskStore";
import type { Edit } from "../edit";

/** Makes a named number of a number in a sentence, called after what it is, and puts its name in the number's place. */
export function nameNumber(store: DeskStore, atHand: NumberAtHand): Edit {
  const { rehearse, history } = store.getState();
  const name = freshNumberName(history.design, atHand.label);
  const number: NamedNumber = { name, value: Number(atHand.stored.toFixed(6)) };
  const add: Edit = { label: "", apply: (draft) => void draft.numbers.push(number) };
  return together(`name the ${atHand.label} ${name}`, [add, ...rehearse(() => atHand.setFormula(name))]);
}
