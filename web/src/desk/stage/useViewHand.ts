import { useEffect, useEffectEvent, type RefObject } from "react";
import type { Point } from "@twin-petal/core";

/** How much one pixel of wheel travel enlarges; pinches on a touchpad travel less. */
const WHEEL_PACE = 0.0015;
const PINCH_PACE = 0.01;
const MIDDLE = 1;

interface ViewHand {
  /** Enlarges by a factor about a point of the element, pixels. */
  zoom: (factor: number, at: Point) => void;
  /** Moves the view by pixels. */
  pan: (x: number, y: number) => void;
  /** Whether it is this element's view that moves under the pointer; another may lie over it. */
  isOver?: (target: EventTarget | null) => boolean;
}

/** The wheel zooms and the middle button moves the view, whatever tool is in hand and whatever lies over the picture. */
export function useViewHand(
  element: RefObject<HTMLElement | null>,
  hand: ViewHand,
  /** The picture itself, where it is smaller than what hears of the hand. */
  picture: RefObject<HTMLElement | null> = element,
): void {
  const zoom = useEffectEvent(hand.zoom);
  const pan = useEffectEvent(hand.pan);
  const isOver = useEffectEvent((target: EventTarget | null) => hand.isOver?.(target) ?? true);
  useEffect(() => {
    const target = element.current;
    if (!target) return;
    let held: { readonly pointer: number; x: number; y: number } | null = null;
    const onWheel = (event: WheelEvent) => {
      if (!isOver(event.target)) return;
      event.preventDefault();
      event.stopPropagation();
      const box = (picture.current ?? target).getBoundingClientRect();
      const at = { x: event.clientX - box.left, y: event.clientY - box.top };
      zoom(Math.exp(-event.deltaY * (event.ctrlKey ? PINCH_PACE : WHEEL_PACE)), at);
    };
    const onDown = (event: PointerEvent) => {
      if (event.button !== MIDDLE || !isOver(event.target)) return;
      event.preventDefault();
      event.stopPropagation();
      target.setPointerCapture(event.pointerId);
      held = { pointer: event.pointerId, x: event.clientX, y: event.clientY };
    };
    const onMove = (event: PointerEvent) => {
      if (held?.pointer !== event.pointerId) return;
      event.stopPropagation();
      pan(event.clientX - held.x, event.clientY - held.y);
      held = { ...held, x: event.clientX, y: event.clientY };
    };
    const onUp = (event: PointerEvent) => {
      if (held?.pointer === event.pointerId) held = null;
    };
    // Before the layers that lie over the picture hear of it.
    const capture = { capture: true };
    target.addEventListener("wheel", onWheel, { passive: false });
    target.addEventListener("pointerdown", onDown, capture);
    target.addEventListener("pointermove", onMove, capture);
    target.addEventListener("pointerup", onUp, capture);
    target.addEventListener("pointercancel", onUp, capture);
    return () => {
      target.removeEventListener("wheel", onWheel);
      target.removeEventListener("pointerdown", onDown, capture);
      target.removeEventListener("pointermove", onMove, capture);
      target.removeEventListener("pointerup", onUp, capture);
      target.removeEventListener("pointercancel", onUp, capture);
    };
  }, [element, picture]);
}
