import { createContext, useContext, useEffect, useRef, type PointerEvent } from "react";
import type { Point } from "@twin-petal/core";
import { pixelOf } from "./pixelOf";

/** One move of a drag, in pixels of the drawing it is in. */
interface DragMove {
  readonly from: Point;
  /** Where it was at the move before this one. */
  readonly before: Point;
  readonly to: Point;
  /** Names the gesture for undo. */
  readonly gesture: string;
  readonly event: PointerEvent;
}

/** Undoes what a gesture has done so far; does nothing where there is no desk. */
const GiveUpContext = createContext<(gesture: string) => void>(() => undefined);
export const GiveUpProvider = GiveUpContext.Provider;

interface DragParts<T> {
  /** What is grasped; null lets the event pass. */
  readonly grasp: (event: PointerEvent, gesture: string) => T | null;
  readonly onMove: (grasped: T, move: DragMove) => void;
  /** It has been let go; `moved` tells a drag from a click. One that is broken off is no click, and one given up did nothing. */
  readonly onEnd?: (grasped: T, moved: boolean, event: PointerEvent, isGivenUp: boolean) => void;
  /** The pointer moves and holds nothing. */
  readonly onHover?: (event: PointerEvent) => void;
  /** Pixels that do not yet count as a drag; 3 unless told. */
  readonly begins?: number;
  /** Whether what lies below hears of the press too. */
  readonly isShared?: boolean;
}

interface Held<T> {
  readonly grasped: T;
  readonly from: Point;
  readonly gesture: string;
  last: Point;
  moved: boolean;
  event: PointerEvent;
  /** No longer listens for Escape. */
  forget: () => void;
}

/** Pointer handlers for what is dragged, from the press until it is let go or broken off, wherever the pointer goes. */
export function useDrag<T>({ grasp, onMove, onEnd, onHover, begins = 3, isShared = false }: DragParts<T>) {
  const held = useRef<Held<T> | null>(null);
  const giveUp = useContext(GiveUpContext);
  const ended = useRef(onEnd);
  useEffect(() => {
    ended.current = onEnd;
  });
  const letGo = (event: PointerEvent, isClick: (current: Held<T>) => boolean) => {
    const current = held.current;
    held.current = null;
    current?.forget();
    if (current) onEnd?.(current.grasped, !isClick(current), event, false);
  };
  /** Escape gives a pull up: what it has done is undone, and the pointer holds nothing. */
  const listenForEscape = (gesture: string) => {
    const onKeyDown = (event: KeyboardEvent) => {
      const current = held.current;
      if (event.key !== "Escape" || !current) return;
      event.preventDefault();
      event.stopPropagation();
      held.current = null;
      current.forget();
      giveUp(gesture);
      ended.current?.(current.grasped, true, current.event, true);
    };
    window.addEventListener("keydown", onKeyDown, { capture: true });
    return () => window.removeEventListener("keydown", onKeyDown, { capture: true });
  };
  return {
    onPointerDown(event: PointerEvent) {
      if (event.button !== 0) return;
      const gesture = `drag-${event.timeStamp}`;
      const grasped = grasp(event, gesture);
      if (grasped === null) return;
      if (!isShared) event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      const from = pixelOf(event);
      held.current = { grasped, from, last: from, gesture, moved: false, event, forget: listenForEscape(gesture) };
    },
    onPointerMove(event: PointerEvent) {
      const current = held.current;
      if (!current) return onHover?.(event);
      const { from, gesture, last: before } = current;
      const to = pixelOf(event);
      if (!current.moved && Math.hypot(to.x - from.x, to.y - from.y) < begins) return;
      current.moved = true;
      current.last = to;
      current.event = event;
      onMove(current.grasped, { from, before, to, gesture, event });
    },
    onPointerUp: (event: PointerEvent) => letGo(event, ({ moved }) => !moved),
    onPointerCancel: (event: PointerEvent) => letGo(event, () => false),
  };
}
