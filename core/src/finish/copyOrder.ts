import { at } from "../geometry/at";
import type { Matrix } from "../geometry/matrix";
import { matrixAt, type Counting, type Placements } from "../rules/placements";

/** What copies are counted by beside their own order, as a fill names it. */
export const COUNTINGS: ReadonlyMap<string, Counting> = new Map([
  ["ring", "rings"],
  ["row", "rows"],
  ["column", "columns"],
]);

/** How far a copy stands from the sheet's centre, millimetres. */
export function distanceOf([, , , , e, f]: Matrix): number {
  return Math.hypot(e, f);
}

/** The direction of a copy from the sheet's centre as a share of a full turn, 0 up, clockwise. */
export function angleOf([, , , , e, f]: Matrix): number {
  return (Math.atan2(e, -f) / (2 * Math.PI) + 1) % 1;
}

/** Copies whose values differ by less than this have one rank. */
const ONE_RANK = 1e-4;

/** The place of each copy's value among all values there are, from the least on. */
export function ranked({ count, matrices }: Placements, valueOf: (matrix: Matrix) => number): (copy: number) => number {
  const values = Array.from({ length: count }, (_, copy) => valueOf(matrixAt(matrices, copy)));
  const order = [...values.keys()].sort((a, b) => at(values, a) - at(values, b));
  const ranks = new Int32Array(count);
  let rank = 0;
  order.forEach((copy, place) => {
    const before = at(values, order[place - 1] ?? copy);
    if (at(values, copy) - before > ONE_RANK) rank += 1;
    ranks[copy] = rank;
  });
  return (copy) => at(ranks, copy);
}
