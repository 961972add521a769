import { useCallback, useEffect, useMemo, useRef } from "react";
import { hasSolids, type Point } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import type { Place } from "@/solid/solidPicture";
import { SolidView } from "@/solid/solidView";
import { useEye } from "@/solid/useEye";
import { useMaking } from "@/store/useMaking";
import { useSolids } from "@/solid/useSolids";
import { SolidDrop } from "./solidDrop";
import { solidHandles, type SolidHandle } from "./solidHandles";
import { usePicture } from "./stage/pictureContext";

/** Curves of copies while the hand moves, and of united solids on the desk: chords within this, millimetres. */
const COARSE = 0.12;
const FINE = 0.05;
/** Pixels between two drops that can be told apart. */
const APART = 34;
/** The sheet's own picture is not seen: it is kept as small as can be. */
const UNSEEN = { width: 8, height: 8 };

/** The solid in place of the sheet. */
export default function SolidStage() {
  const design = useDesign();
  const store = useDeskStore();
  const { setSize, setSeen } = usePicture("setSize", "setSeen");
  useEffect(() => {
    setSize(UNSEEN);
    setSeen(false);
    return () => setSeen(true);
  }, [setSize, setSeen]);
  const solids = useSolids(design, COARSE, FINE);
  const eye = useEye();
  const { frame: bed } = useMaking(design).solid;
  const chosen = useDesk((state) => state.chosen);
  const copy = useDesk((state) => state.hand.copy);
  const handles = useMemo(() => solidHandles(design, chosen, copy, solids), [design, chosen, copy, solids]);
  const { place, onDrawn, elementOf } = useDrops(handles);
  const part = design.parts.find(({ id }) => id === chosen);
  return (
    <SolidView
      label={`The solid of ${design.name}.`}
      solids={solids}
      bed={bed}
      eye={eye}
      onDrawn={onDrawn}
      onCopy={(met) => {
        if (!met) return;
        store.getState().choose(met.part);
        store.getState().setHand({ copy: met.number });
      }}
    >
      {handles.map((handle) => (
        <SolidDrop key={handle.name} handle={handle} place={place} element={elementOf(handle.name)} />
      ))}
      {part && copy > 0 && (
        <p className="pointer-events-none absolute top-3 left-3 rounded bg-surface px-1.5 text-[14px] text-quiet">
          {part.name}, copy {copy + 1}
        </p>
      )}
      {!hasSolids(design) && (
        <p className="absolute inset-0 grid place-content-center text-quiet">
          Nothing stands up: make a part solid in its words.
        </p>
      )}
    </SolidView>
  );
}

/** Keeps the drops where their numbers are seen, after every picture and whenever they change. */
function useDrops(handles: readonly SolidHandle[]) {
  const place = useRef<Place | null>(null);
  const elements = useRef(new Map<string, HTMLElement>());
  const shown = useRef(handles);
  const lay = useCallback(() => {
    const taken: Point[] = [];
    for (const { name, at, onward } of shown.current) {
      const element = elements.current.get(name);
      const [seen, next] = [place.current?.(at), place.current?.(onward)];
      if (!element || !seen || !next) continue;
      // Of two that would lie on each other, as on something small, the first is there to be pulled.
      const isFree = taken.every(({ x, y }) => Math.hypot(x - seen.x, y - seen.y) > APART);
      element.style.visibility = isFree ? "visible" : "hidden";
      if (isFree) taken.push(seen);
      element.style.transform = `translate(${seen.x}px, ${seen.y}px)`;
      const turn = (Math.atan2(next.x - seen.x, seen.y - next.y) * 180) / Math.PI;
      element.querySelector(".drop")?.setAttribute("transform", `rotate(${turn.toFixed(1)})`);
    }
  }, []);
  useEffect(() => {
    shown.current = handles;
    lay();
  }, [handles, lay]);
  const onDrawn = useCallback(
    (next: Place) => {
      place.current = next;
      lay();
    },
    [lay],
  );
  const elementOf = useCallback(
    (name: string) => (element: HTMLElement | null) => {
      if (element) elements.current.set(name, element);
      else elements.current.delete(name);
    },
    [],
  );
  return { place, onDrawn, elementOf };
}
