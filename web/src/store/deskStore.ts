import { createContext, useContext } from "react";
import type { Design } from "@twin-petal/core";
import { createStore, useStore } from "zustand";
import type { Edit } from "./edit";
import { EMPTY_HAND, NOTHING_IN_HAND, type Hand } from "./hand";
import { make, redo, undo, type History } from "./history";

/** How the design on the desk stands to the one on disk. */
export type SaveState =
  | { readonly kind: "saved" }
  | { readonly kind: "changed" }
  | { readonly kind: "saving" }
  /** The last try failed; the change is kept in the browser and will be tried again. */
  | { readonly kind: "failed"; readonly reason: string }
  /** Someone else saved meanwhile; a person has to choose. */
  | { readonly kind: "conflict"; readonly revision: number };

export interface DeskState {
  readonly id: string;
  readonly history: History;
  /** The server's revision the design builds on. */
  readonly revision: number;
  readonly saveState: SaveState;
  readonly chosen: string | null;
  readonly hand: Hand;
  edit: (edit: Edit) => void;
  undo: () => void;
  redo: () => void;
  choose: (part: string | null) => void;
  /** Takes up another tool, chooses nodes, goes to another copy. */
  setHand: (change: Partial<Hand>) => void;
  /** Starts again from another state of the design, with nothing to undo. */
  restart: (history: History, revision: number, saveState: SaveState) => void;
  setSaveState: (saveState: SaveState) => void;
  /** The server has the design under this revision. */
  setRevision: (revision: number) => void;
}

export type DeskStore = ReturnType<typeof createDeskStore>;

export function createDeskStore(id: string, history: History, revision: number, saveState: SaveState) {
  return createStore<DeskState>((set) => {
    const go = (change: (history: History) => History) =>
      set((state) => {
        const next = change(state.history);
        if (next === state.history) return state;
        return { history: next, chosen: stillThere(next.design, state.chosen) };
      });
    return {
      id,
      history,
      revision,
      saveState,
      chosen: history.design.parts.at(-1)?.id ?? null,
      hand: EMPTY_HAND,
      edit: (edit) => go((current) => make(current, edit)),
      undo: () => go(undo),
      redo: () => go(redo),
      choose: (chosen) =>
        set((state) => (chosen === state.chosen ? state : { chosen, hand: { ...state.hand, ...NOTHING_IN_HAND } })),
      setHand: (change) => set((state) => ({ hand: { ...state.hand, ...change } })),
      restart: (next, revision, saveState) => set({ history: next, revision, saveState }),
      setSaveState: (saveState) => set({ saveState }),
      setRevision: (revision) => set({ revision }),
    };
  });
}

function stillThere(design: Design, chosen: string | null): string | null {
  return design.parts.some(({ id }) => id === chosen) ? chosen : (design.parts.at(-1)?.id ?? null);
}

const DeskContext = createContext<DeskStore | null>(null);
export const DeskProvider = DeskContext.Provider;

/** The store of the desk the component is on. */
export function useDeskStore(): DeskStore {
  const store = useContext(DeskContext);
  if (!store) throw new Error("this belongs on a desk");
  return store;
}

export function useDesk<T>(select: (state: DeskState) => T): T {
  return useStore(useDeskStore(), select);
}

/** Makes edits, and tells the design as it is at the moment of an edit; never redraws anything by itself. */
export function useEditing(): { edit: DeskState["edit"]; choose: DeskState["choose"]; now: () => Design } {
  const store = useDeskStore();
  const { edit, choose } = store.getState();
  return { edit, choose, now: () => store.getState().history.design };
}

export function useDesign(): Design {
  return useDesk((state) => state.history.design);
}
