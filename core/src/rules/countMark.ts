import { FULL_TURN } from "../geometry/angle";
import { directionOf, polar, type Point } from "../geometry/point";
import type { LinkedNumbers } from "./linkedNumbers";

/**
 * A count of copies around a point, to be pulled: where the copies divide a span, from the second copy; where they stand a
 * held angle apart, from the last.
 */
export interface CountMark {
  /** Tells it from other marks. */
  readonly kind: "count";
  /** The field it sets. */
  readonly field: string;
  /** What the copies stand around. */
  readonly centre: Point;
  /** How far from it the handle stands, millimetres. */
  readonly reach: number;
  /** Direction of the first copy, degrees. */
  readonly from: number;
  /** From copy to copy, degrees. */
  readonly spacing: number;
  /** How many there are. */
  readonly count: number;
  /** What the copies divide, degrees; null where the angle is held and more copies reach further. */
  readonly span: number | null;
  /** Whether the copy after the last would be the first again. */
  readonly closed: boolean;
}

/** A handle that is pulled around sets at least so many copies. */
const FEWEST = 2;

/** The mark of a count; null where it follows from the others, or one copy gives no direction. */
export function countMark(
  { count, spacing, span, follows }: LinkedNumbers,
  placed: Pick<CountMark, "field" | "centre" | "reach" | "from" | "closed">,
): CountMark | null {
  if (follows === "count" || count < FEWEST || spacing === 0) return null;
  return { kind: "count", ...placed, spacing, count, span: follows === "spacing" ? span : null };
}

/** Where a count's handle stands, in the mark's space. */
export function placeOfCount({ centre, reach, from, spacing, count, span }: CountMark): Point {
  return polar(reach, from + (span === null ? spacing * (count - 1) : spacing), centre);
}

/** The count when its handle is pulled to a point; whole, at least two. */
export function countPulled({ centre, from, spacing, count, span, closed }: CountMark, to: Point): number {
  const way = Math.sign(spacing);
  const turned = ((((directionOf(centre, to) - from) * way) % FULL_TURN) + FULL_TURN) % FULL_TURN;
  if (span !== null) {
    const gaps = Math.round(Math.abs(span) / Math.max(turned, FULL_TURN / 2_000));
    return Math.max(FEWEST, closed ? gaps : gaps + 1);
  }
  // Copies may go round more than once: the turn nearest to the present one counts.
  const present = Math.abs(spacing) * (count - 1);
  const near = turned + FULL_TURN * Math.round((present - turned) / FULL_TURN);
  return Math.max(FEWEST, Math.round(near / Math.abs(spacing)) + 1);
}
