import { nameTrouble, type Design, type NamedNumber } from "@twin-petal/core";
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

/** A name from a label's words, in one; with a number behind it where it is taken or means something already. */
function freshNumberName(design: Design, label: string): string {
  const [first = "size", ...rest] = label.split(/[^A-Za-z0-9]+/).filter(Boolean);
  const stem = [first.toLowerCase(), ...rest.map((word) => word.charAt(0).toUpperCase() + word.slice(1))].join("");
  const base = /^[A-Za-z]/.test(stem) ? stem.slice(0, 30) : "size";
  const taken = new Set(design.numbers.map(({ name }) => name));
  const isFree = (name: string) => !taken.has(name) && nameTrouble(name) === null;
  for (let number = 1; ; number++) {
    const name = number === 1 ? base : `${base}${number}`;
    if (isFree(name)) return name;
  }
}
