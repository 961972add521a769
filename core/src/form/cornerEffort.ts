import { spend } from "../geometry/effort";

/** What a corner of a solid takes until its surface is closed and united, seconds on a usual machine. */
const SECONDS_A_CORNER = 13e-6;

/** Counts what so many corners take, before there are any. Throws a TooMuchEffort. */
export function spendOnCorners(corners: number): void {
  spend(corners * SECONDS_A_CORNER);
}
