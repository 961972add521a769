import Flatbush from "flatbush";
import type { Point } from "../geometry/point";

/** Something to be done from one place to another; what ends where it begins may be begun there only. Millimetres. */
export interface Errand {
  /** Where it begins. */
  readonly from: Point;
  /** Where it ends. */
  readonly to: Point;
  /** Whether it may be done from its end to its beginning. */
  readonly reversible: boolean;
}

/** An errand's number, and whether it is done backwards. */
export interface Visit {
  /** Its number in the list given. */
  readonly errand: number;
  /** From its end to its beginning. */
  readonly backwards: boolean;
}

/** The length travelled between errands, from the start to where the last one ends. Millimetres. */
export function travelOf(errands: readonly Errand[], start: Point, visits: readonly Visit[]): number {
  let [at, sum] = [start, 0];
  for (const visit of visits) {
    const to = startOf(errands, visit);
    sum += Math.hypot(to.x - at.x, to.y - at.y);
    at = endOf(errands, visit);
  }
  return sum;
}

/** Both ends of every errand: 2e where it begins, 2e + 1 where it ends. */
export function endsOf(errands: readonly Errand[]): Flatbush {
  const index = new Flatbush(2 * errands.length);
  for (const { from, to } of errands) {
    index.add(from.x, from.y, from.x, from.y);
    index.add(to.x, to.y, to.x, to.y);
  }
  index.finish();
  return index;
}

/** Whether an errand may be begun at one of its ends. */
export function isEntry(errands: readonly Errand[], end: number): boolean {
  return end % 2 === 0 || errands[end >> 1]?.reversible === true;
}

const NOWHERE: Point = { x: 0, y: 0 };
/** Where a visit begins. */
export function startOf(errands: readonly Errand[], { errand, backwards }: Visit): Point {
  const own = errands[errand];
  return (backwards ? own?.to : own?.from) ?? NOWHERE;
}
/** Where a visit ends. */
export function endOf(errands: readonly Errand[], { errand, backwards }: Visit): Point {
  const own = errands[errand];
  return (backwards ? own?.from : own?.to) ?? NOWHERE;
}
