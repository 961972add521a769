import { createContext, useContext } from "react";
import type { Design } from "@twin-petal/core";
import { createStore, useStore } from "zustand";
import type { AtHand } from "./atHand";
import { applyEdit, type Edit } from "./edit";
import { EMPTY_HAND, NOTHING_IN_HAND, type Hand } from "./hand";
import { givenUp, make, redo, settle, undo, type History } from "./history";
import { workedOn } from "./workedOn";

/** How the design on the desk stands to the one on disk. */
export type SaveState =
  | { readonly kind: "saved" }
  | { readonly kind: "changed" }
  | { readonly kind: "saving" }
  /** The last try failed; `kept` says whether the browser has the change. */
  | { readonly kind: "failed"; readonly reason: string; readonly path: string | null; readonly kept: boolean }
  /** Someone else saved meanwhile; a person has to choose. */
  | { readonly kind: "conflict"; readonly revision: number };

export interface DeskState {
  readonly id: string;
  readonly history: History;
  /** The server's revision the design builds on. */
  readonly revision: number;
  readonly saveState: SaveState;
  readonly chosen: string | null;
  /** Other parts that are chosen with it. */
  readonly also: readonly string[];
  readonly hand: Hand;
  /** The design as it was opened on this desk. */
  readonly opened: Design;
  /** The number or choice last touched. */
  readonly atHand: AtHand | null;
  setAtHand: (atHand: AtHand | null) => void;
  /** Does something that would edit the design, and answers the edits instead of making them. */
  rehearse: (act: () => void) => readonly Edit[];
  edit: (edit: Edit) => void;
  undo: () => void;
  /** What a gesture has done so far is undone, and cannot be redone. */
  giveUp: (gesture: string) => void;
  /** The last step stands: what comes next is a step of its own. */
  settle: () => void;
  redo: () => void;
  choose: (part: string | null) => void;
  /** Chooses a part with those that are, or lets go of it. */
  chooseAlso: (part: string) => void;
  /** Chooses some parts together, and no others. */
  chooseTogether: (parts: readonly string[]) => void;
  /** Chooses every part. */
  chooseAll: () => void;
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
    let rehearsedEdits: Edit[] | null = null;
    const go = (change: (history: History) => History) =>
      set((state) => {
        const next = change(state.history);
        if (next === state.history) return state;
        return { history: next, ...stillChosen(next.design, state) };
      });
    return {
      id,
      history,
      revision,
      saveState,
      chosen: workedOn(history),
      also: [],
      hand: EMPTY_HAND,
      opened: history.design,
      atHand: null,
      setAtHand: (atHand) => set({ atHand }),
      rehearse(act) {
        const edits: Edit[] = [];
        rehearsedEdits = edits;
        try {
          act();
        } finally {
          rehearsedEdits = null;
        }
        return edits;
      },
      edit(edit) {
        if (rehearsedEdits) rehearsedEdits.push(edit);
        else go((current) => make(current, edit));
      },
      undo: () => go(undo),
      giveUp: (gesture) => go((current) => givenUp(current, gesture)),
      settle: () => go(settle),
      redo: () => go(redo),
      choose(chosen) {
        if (rehearsedEdits) return;
        set((state) => {
          if (chosen === state.chosen) return state.also.length === 0 ? state : { also: [] };
          return { chosen, also: [], hand: { ...state.hand, ...NOTHING_IN_HAND } };
        });
      },
      chooseAlso(part) {
        if (!rehearsedEdits) set((state) => withPart(state, part));
      },
      chooseTogether([first = null, ...also]) {
        if (first !== null) set(({ hand }) => ({ chosen: first, also, hand: { ...hand, ...NOTHING_IN_HAND } }));
      },
      chooseAll() {
        set(({ history, chosen }) => ({
          also: history.design.parts.flatMap(({ id }) => (id === chosen ? [] : [id])),
        }));
      },
      setHand(change) {
        if (!rehearsedEdits) set((state) => ({ hand: { ...state.hand, ...change } }));
      },
      restart: (next, revision, saveState) => set({ history: next, revision, saveState }),
      setSaveState: (saveState) => set({ saveState }),
      setRevision: (revision) => set({ revision }),
    };
  });
}

/** The design as it would be after something that edits it. */
export function rehearsed(store: DeskStore, act: () => void): Design {
  const { rehearse, history } = store.getState();
  return rehearse(act).reduce(applyEdit, history.design);
}

type Chosen = Pick<DeskState, "chosen" | "also">;

/** What of the chosen parts is still there; the topmost part where nothing is. */
function stillChosen({ parts }: Design, { chosen, also }: Chosen): Chosen {
  const isThere = (id: string) => parts.some((part) => part.id === id);
  if (chosen !== null && isThere(chosen) && also.every(isThere)) return { chosen, also };
  const left = also.filter(isThere);
  if (chosen !== null && isThere(chosen)) return { chosen, also: left };
  const [next = parts.at(-1)?.id ?? null, ...rest] = left;
  return { chosen: next, also: rest };
}

/** A part chosen with those that are; one that is chosen already is let go of, but for the last. */
function withPart({ chosen, also }: Chosen, part: string): Chosen {
  if (chosen === null) return { chosen: part, also };
  if (also.includes(part)) return { chosen, also: also.filter((id) => id !== part) };
  if (part !== chosen) return { chosen, also: [...also, part] };
  const [next = chosen, ...rest] = also;
  return { chosen: next, also: rest };
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
