import type { Point } from "./point";

/** A straight stretch of a boundary. */
export type Chord = readonly [from: Point, to: Point];

/** How often chords go round a point: those that cross the level line to its right, down +1 and up −1. */
export function windingOf(chords: readonly Chord[], point: Point): number {
  let winding = 0;
  for (const [from, to] of chords) winding += crossingOf(from.x, from.y, to.x, to.y, point);
  return winding;
}

/** What one chord adds to that: +1, −1, or 0 where it does not cross the level line to the point's right. */
export function crossingOf(fromX: number, fromY: number, toX: number, toY: number, { x, y }: Point): number {
  if (fromY <= y === toY <= y) return 0;
  const crossing = fromX + ((y - fromY) / (toY - fromY)) * (toX - fromX);
  return crossing > x ? (toY > fromY ? 1 : -1) : 0;
}
