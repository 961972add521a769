import { unwaited } from "@/api/unwaited";
import { useRef, useState, type PointerEvent, type RefObject } from "react";
import type { Point } from "@twin-petal/core";
import { panned, placeIn, toSheet, zoomed } from "@/paint/view";
import { useDeskStore } from "@/store/deskStore";
import { usePicture } from "./pictureContext";

const CLICK_WITHIN = 4;

/** What the hand does on the sheet: pull to pan, pinch to zoom, click to choose a part; with Shift one more, or a loop around several. */
export function useSheetHand(element: RefObject<HTMLElement | null>) {
  const { painter, view, size, setView } = usePicture("painter", "view", "size", "setView");
  const store = useDeskStore();
  const { choose, chooseAlso, chooseTogether } = store.getState();
  /** A loop being drawn to choose with, pixels; null while the hand does something else. */
  const [loop, setLoop] = useState<readonly Point[] | null>(null);
  const pointers = useRef(new Map<number, Point>());
  const travelled = useRef(0);

  const place = (event: { clientX: number; clientY: number }): Point => placeIn(element.current, event);

  /** While the gap chart shows, the copy under the pointer is the one pointed at. */
  const asking = useRef(false);
  const pointAt = (event: PointerEvent) => {
    const { chosen, hand, setHand } = store.getState();
    if (hand.strip !== "gaps" || !chosen || !view || !size || asking.current) return;
    asking.current = true;
    unwaited(
      painter.copyAt(toSheet(view, size, place(event)), view.scale, chosen).then((found) => {
        asking.current = false;
        const pointed = found?.copy ?? null;
        if (pointed !== store.getState().hand.pointed) setHand({ pointed });
      }),
    );
  };

  const onPointerDown = (event: PointerEvent) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    if (pointers.current.size === 0) travelled.current = 0;
    pointers.current.set(event.pointerId, place(event));
    setLoop(event.shiftKey && pointers.current.size === 1 ? [place(event)] : null);
  };
  const onPointerMove = (event: PointerEvent) => {
    const before = pointers.current.get(event.pointerId);
    if (!before) return pointAt(event);
    if (!size) return;
    const now = place(event);
    travelled.current += Math.hypot(now.x - before.x, now.y - before.y);
    const other = [...pointers.current].find(([id]) => id !== event.pointerId)?.[1];
    pointers.current.set(event.pointerId, now);
    if (travelled.current < CLICK_WITHIN) return;
    if (loop) return setLoop((points) => points && [...points, now]);
    if (!other) return setView((current) => panned(current, now.x - before.x, now.y - before.y));
    const spread = (p: Point) => Math.hypot(p.x - other.x, p.y - other.y);
    const factor = spread(now) / Math.max(1, spread(before));
    setView((current) =>
      zoomed(panned(current, (now.x - before.x) / 2, (now.y - before.y) / 2), size, factor, {
        x: (now.x + other.x) / 2,
        y: (now.y + other.y) / 2,
      }),
    );
  };
  const onPointerUp = (event: PointerEvent) => {
    const wasHeld = pointers.current.delete(event.pointerId);
    setLoop(null);
    if (!wasHeld || !view || !size) return;
    if (travelled.current >= CLICK_WITHIN) {
      if (loop) unwaited(painter.partsInside(loop.map((point) => toSheet(view, size, point))).then(chooseTogether));
      return;
    }
    const isAdding = event.shiftKey;
    unwaited(
      painter
        .copyAt(toSheet(view, size, place(event)), view.scale)
        .then((found) => found !== null && (isAdding ? chooseAlso : choose)(found.part)),
    );
  };
  const onPointerCancel = (event: PointerEvent) => {
    pointers.current.delete(event.pointerId);
    setLoop(null);
  };
  return { loop, hand: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel } };
}
