import { spend } from "../geometry/effort";

/** What a needle point takes until it is in its row, and again from there on for each copy. Seconds on a usual machine. */
const SECONDS_A_POINT = 6e-6;

/** Counts what so many needle points take, before they are made or carried. Throws a TooMuchEffort. */
export function spendOnPoints(points: number): void {
  spend(points * SECONDS_A_POINT);
}
