import { unwaited } from "@/api/unwaited";
import { findRoots, goalOf, type Search } from "@twin-petal/core";
import { useEffect, useState } from "react";
import type { NumberAtHand } from "@/store/atHand";
import { rehearsed, useDeskStore } from "@/store/deskStore";
import { usePicture } from "../../stage/pictureContext";
import { searchWindows } from "./searchWindows";

/** How a search stands. */
export interface Solving {
  /** 0…1 while it goes on, null once it is done. */
  readonly progress: number | null;
  /** What was found; null before. */
  readonly search: Search | null;
  /** Where it was looked last, in the number's unit. */
  readonly range: { readonly from: number; readonly to: number } | null;
}

const BEGUN: Solving = { progress: 0, search: null, range: null };

/** Looks for the values of a number with which a goal is met by the chosen part; anew whenever what is asked for changes. */
export function useSolve(atHand: NumberAtHand, kind: string, wanted: number): Solving {
  const store = useDeskStore();
  const { assistant } = usePicture("assistant");
  // What is looked for is a value of the number as it was taken in hand: taking one begins no new search.
  const [asked] = useState(atHand);
  const [solving, setSolving] = useState<Solving>(BEGUN);
  useEffect(() => {
    const goal = goalOf(kind);
    const part = store.getState().chosen;
    if (!goal || part === null) return;
    let isWanted = true;
    const measure = (at: number) =>
      assistant.measure(
        rehearsed(store, () => asked.set(at)),
        part,
        kind,
        wanted,
      );
    const onProgress = (progress: number) => {
      if (isWanted) setSolving({ ...BEGUN, progress });
      return isWanted;
    };
    const look = async () => {
      for (const range of searchWindows(asked)) {
        const search = await findRoots({ ...range, whole: asked.whole, within: goal.within, measure, onProgress });
        if (!isWanted) return;
        setSolving({ progress: null, search, range });
        if (search && search.roots.length > 0) return;
      }
    };
    unwaited(look());
    return () => {
      isWanted = false;
    };
  }, [assistant, store, asked, kind, wanted]);
  return solving;
}
