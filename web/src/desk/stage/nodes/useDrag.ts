import { useRef, type PointerEvent } from "react";
import type { Point } from "@twin-petal/core";
import { pixelOf } from "../surface";

/** One drag from pointer down to pointer up, in pixels of the drawing it is in. */
export interface DragMove {
  readonly from: Point;
  readonly to: Point;
  /** Names the gesture for undo. */
  readonly gesture: string;
  readonly event: PointerEvent;
}

const BEGINS = 3;

interface DragParts<T> {
  /** What is grasped; null lets the event pass. */
  readonly grasp: (event: PointerEvent) => T | null;
  readonly onMove: (grasped: T, move: DragMove) => void;
  /** The pointer has gone up; `moved` tells a drag from a click. */
  readonly onEnd?: (grasped: T, moved: boolean, event: PointerEvent) => void;
}

/** Pointer handlers for something that is dragged; the first pixels do not count as a drag. */
export function useDrag<T>({ grasp, onMove, onEnd }: DragParts<T>) {
  const held = useRef<{ grasped: T; from: Point; gesture: string; moved: boolean } | null>(null);
  return {
    onPointerDown(event: PointerEvent) {
      if (event.button !== 0) return;
      const grasped = grasp(event);
      if (grasped === null) return;
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = { grasped, from: pixelOf(event), gesture: `drag-${event.timeStamp}`, moved: false };
    },
    onPointerMove(event: PointerEvent) {
      const current = held.current;
      if (!current) return;
      const to = pixelOf(event);
      if (!current.moved && Math.hypot(to.x - current.from.x, to.y - current.from.y) < BEGINS) return;
      current.moved = true;
      onMove(current.grasped, { from: current.from, to, gesture: current.gesture, event });
    },
    onPointerUp(event: PointerEvent) {
      const current = held.current;
      held.current = null;
      if (current) onEnd?.(current.grasped, current.moved, event);
    },
    onPointerCancel() {
      held.current = null;
    },
  };
}
