import { useCallback, useMemo, useState } from "react";
import { fitted, type Size, type View } from "@/paint/view";
import type { ChosenReport } from "@/workers/frame";

/** What is seen of something, and the ways to look elsewhere. */
export interface Look {
  readonly view: View | null;
  readonly size: Size | null;
  setView: (change: (view: View) => View) => void;
  setSize: (size: Size) => void;
  /** Shows it whole. */
  fit: () => void;
}

/** Space left free around the motif, as a share of the room. */
const ROOM = 0.13;
/** Extent of a motif that has none, millimetres. */
const NOTHING = 40;

/** What is seen of the chosen part's motif in its close-up: all of it, upright, until the hand looks elsewhere. */
export function useCloseUpView(chosen: ChosenReport | null | undefined): Look {
  const [own, setOwn] = useState<{ readonly part: string; readonly view: View } | null>(null);
  const [size, setSize] = useState<Size | null>(null);
  const part = chosen?.id ?? null;
  const whole = chosen && size ? wholeMotif(chosen, size) : null;
  const view = own && own.part === part ? own.view : whole;
  const setView = useCallback(
    (change: (view: View) => View) => {
      if (part !== null && view) setOwn({ part, view: change(view) });
    },
    [part, view],
  );
  const fit = useCallback(() => setOwn(null), []);
  const [x, y, scale] = [view?.x, view?.y, view?.scale];
  return useMemo(
    () => ({
      view: x === undefined || y === undefined || scale === undefined ? null : { x, y, scale },
      ...{ size, setView, setSize, fit },
    }),
    [x, y, scale, size, setView, fit],
  );
}

/** The motif with its origin in sight, filling the room. */
function wholeMotif({ motifBox }: ChosenReport, size: Size): View {
  const box = {
    left: Math.min(motifBox.left, 0),
    right: Math.max(motifBox.right, 0),
    top: Math.min(motifBox.top, 0),
    bottom: Math.max(motifBox.bottom, 0),
  };
  const isThere = [box.right - box.left, box.bottom - box.top].every((extent) => Number.isFinite(extent));
  const shown = isThere ? box : { left: -NOTHING / 2, right: NOTHING / 2, top: -NOTHING / 2, bottom: NOTHING / 2 };
  return fitted(shown, size, ROOM * Math.min(size.width, size.height));
}
