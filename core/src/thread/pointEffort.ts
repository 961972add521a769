import { spend } from "../geometry/effort";

/** What a needle point takes until it is in its row, seconds on a usual machine. */
const SECONDS_A_POINT = 6e-6;

/** Counts what about so many needle points take, before there are any. Throws a TooMuchEffort. */
export function spendOnPoints(points: number): void {
  spend(points * SECONDS_A_POINT);
}
