import { useEffect, useRef, type RefObject } from "react";
import { coarseness } from "./stepping";

/** Wheel events nearer together than this belong to one movement of the wheel, milliseconds. */
const ONE_MOVEMENT = 350;
/** Wheel travel that makes one step; wheels with notches travel further a notch. */
const TRAVEL = 40;

let lastWheel = 0;
let lastTarget: EventTarget | null = null;

/**
 * Turns the wheel over an element into steps. A movement that began elsewhere goes on scrolling, so
 * that numbers passing under a resting hand are left alone.
 */
export function useWheelSteps(
  element: RefObject<HTMLElement | null>,
  onSteps: (steps: number, fineness: number, gesture: string) => void,
): void {
  const latest = useRef(onSteps);
  useEffect(() => {
    latest.current = onSteps;
  });
  useEffect(() => {
    const target = element.current;
    if (!target) return;
    let travelled = 0;
    let gesture = "";
    const onWheel = (event: WheelEvent) => {
      const begins = event.timeStamp - lastWheel > ONE_MOVEMENT;
      const mine = begins || lastTarget === target;
      lastWheel = event.timeStamp;
      if (!mine) return;
      lastTarget = target;
      event.preventDefault();
      event.stopPropagation();
      if (begins) {
        travelled = 0;
        gesture = `wheel-${event.timeStamp}`;
      }
      // With Shift held, browsers turn a wheel's travel sideways.
      travelled -= event.deltaY || event.deltaX;
      const steps = Math.trunc(travelled / TRAVEL);
      if (steps === 0) return;
      travelled = 0;
      const { times, fineness } = coarseness(event);
      latest.current(Math.sign(steps) * times, fineness, gesture);
    };
    target.addEventListener("wheel", onWheel, { passive: false });
    return () => target.removeEventListener("wheel", onWheel);
  });
}

/** Notes wheel movements that belong to nobody, so that numbers know where a movement began. */
export function watchWheel(): () => void {
  const note = (event: WheelEvent) => {
    if (event.timeStamp - lastWheel > ONE_MOVEMENT) lastTarget = null;
    lastWheel = event.timeStamp;
  };
  window.addEventListener("wheel", note, { passive: true });
  return () => window.removeEventListener("wheel", note);
}
