import { useRef, type PointerEvent } from "react";
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

interface DragParts<T> {
  /** What is grasped; null lets the event pass. */
  readonly grasp: (event: PointerEvent, gesture: string) => T | null;
  readonly onMove: (grasped: T, move: DragMove) => void;
  /** It has been let go; `moved` tells a drag from a click. One that is broken off is no click. */
  readonly onEnd?: (grasped: T, moved: boolean, event: PointerEvent) => void;
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
}

/** Pointer handlers for what is dragged, from the press until it is let go or broken off, wherever the pointer goes. */
export function useDrag<T>({ grasp, onMove, onEnd, onHover, begins = 3, isShared = false }: DragParts<T>) {
  const held = useRef<Held<T> | null>(null);
  const letGo = (event: PointerEvent, isClick: (current: Held<T>) => boolean) => {
    const current = held.current;
    held.current = null;
    if (current) onEnd?.(current.grasped, !isClick(current), event);
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
      held.current = { grasped, from, last: from, gesture, moved: false };
    },
    onPointerMove(event: PointerEvent) {
      const current = held.current;
      if (!current) return onHover?.(event);
      const { from, gesture, last: before } = current;
      const to = pixelOf(event);
      if (!current.moved && Math.hypot(to.x - from.x, to.y - from.y) < begins) return;
      current.moved = true;
      current.last = to;
      onMove(current.grasped, { from, before, to, gesture, event });
    },
    onPointerUp: (event: PointerEvent) => letGo(event, ({ moved }) => !moved),
    onPointerCancel: (event: PointerEvent) => letGo(event, () => false),
  };
}
