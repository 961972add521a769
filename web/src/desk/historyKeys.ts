import { useEffect } from "react";
import { tinykeys } from "tinykeys";
import { useDeskStore, type DeskStore } from "@/store/deskStore";
import { saveNow } from "@/store/saving";
import { isElsewhere, isTyping } from "./keyTargets";

/** One shortcut: the same table binds the keys and tells about them. */
export interface Shortcut<Targets> {
  readonly keys: string;
  readonly shown: string;
  readonly words: string;
  act: (targets: Targets) => void;
}

/** What needs nothing but the design, and goes in every room of it. */
export const HISTORY_KEYS: readonly Shortcut<{ readonly store: DeskStore }>[] = [
  { keys: "$mod+z", shown: "Ctrl Z", words: "Undo", act: ({ store }) => store.getState().undo() },
  { keys: "$mod+Shift+z", shown: "Ctrl Shift Z", words: "Redo", act: ({ store }) => store.getState().redo() },
  { keys: "$mod+s", shown: "Ctrl S", words: "Save now", act: saveNow },
];

/** Binds shortcuts for as long as the page is there; while something is typed, keys belong to the text. Gives what unbinds them. */
export function bindKeys<Targets>(shortcuts: readonly Shortcut<Targets>[], targets: Targets): () => void {
  const bindings: Record<string, (event: KeyboardEvent) => void> = {};
  for (const { keys, act } of shortcuts) {
    bindings[keys] = (event) => {
      if (isTyping(event) || isElsewhere(event)) return;
      event.preventDefault();
      act(targets);
    };
  }
  return tinykeys(window, bindings);
}

/** Binds undo, redo and saving. */
export function useHistoryKeys(): void {
  const store = useDeskStore();
  useEffect(() => bindKeys(HISTORY_KEYS, { store }), [store]);
}
