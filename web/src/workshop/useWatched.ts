import { useCallback } from "react";
import type { Point } from "@twin-petal/core";
import { useFor } from "./useFor";

/** What of a run is looked at. */
interface Watched {
  /** The step that is shown, counted from 0; null while the whole is. */
  readonly step: number | null;
  goTo: (step: number | null) => void;
  /** Follows a device that has done so many steps. */
  onStep: (done: number) => void;
  /** Places that are marked, the one looked at first. */
  readonly places: readonly Point[];
  /** Marks all places of a check, and looks at one of them. */
  onShow: (all: readonly Point[], place: Point) => void;
}

/** No places are marked. */
const NOWHERE: readonly Point[] = [];

/** What of a run of so many steps is looked at; another run is seen whole, without the marks of the one before. */
export function useWatched(run: unknown, count: number): Watched {
  const [at, goTo] = useFor<number | null>(run, null);
  const [places, setPlaces] = useFor<readonly Point[]>(run, NOWHERE);
  const onStep = useCallback((done: number) => goTo(done > 0 ? done - 1 : null), [goTo]);
  const onShow = useCallback(
    (all: readonly Point[], place: Point) => setPlaces([place, ...all.filter((one) => one !== place)]),
    [setPlaces],
  );
  return { step: at === null || count === 0 ? null : Math.min(at, count - 1), goTo, onStep, places, onShow };
}
