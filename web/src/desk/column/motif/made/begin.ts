import { motifOf, type Motif } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Tool } from "@/store/hand";
import { addMadePart } from "@/store/edits/drawn";
import { changeMotif, partEdit } from "@/store/edits/parts";
import type { Beginning } from "./definition";

/** Begins with a motif there is something to change in already. */
export function beginWith({ part, store }: Beginning, motif: Motif, name: string): void {
  const { edit, choose, setHand, history } = store.getState();
  setHand({ tool: "look" });
  if (part === null) {
    const added = addMadePart(history.design, motif, capital(name), motifOf(motif.kind)?.open ?? false);
    edit(added.edit);
    return choose(added.id);
  }
  edit(
    partEdit(part, `make the motif a ${name}`, (draft) => {
      draft.motif = castDraft(motif);
    }),
  );
}

/** Begins with a tool in hand: the motif comes to be as it is drawn. */
export function beginByHand({ part, store }: Beginning, kind: string, tool: Tool): void {
  const { edit, choose, setHand, history } = store.getState();
  if (part !== null) edit(changeMotif(history.design, part, kind));
  else choose(null);
  setHand({ tool });
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
