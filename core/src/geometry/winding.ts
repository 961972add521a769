import type { Point } from "./point";

/** A straight stretch of a boundary. */
export type Chord = readonly [from: Point, to: Point];

/** How often chords go round a point: those that cross the level line to its right, down +1 and up −1. */
export function windingOf(chords: readonly Chord[], { x, y }: Point): number {
  let winding = 0;
  for (const [from, to] of chords) {
    if (from.y <= y === to.y <= y) continue;
    const crossing = from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x);
    if (crossing > x) winding += to.y > from.y ? 1 : -1;
  }
  return winding;
}
