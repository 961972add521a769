import type { Point } from "@twin-petal/core";

/** Where a pointer is: pixels within the drawing that what hears of it is in, or of the window outside one. */
export function pixelOf(event: { clientX: number; clientY: number; currentTarget: Element }): Point {
  const box = event.currentTarget.closest("svg")?.getBoundingClientRect();
  return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
}
