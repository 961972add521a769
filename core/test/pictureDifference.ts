import type { PNG } from "pngjs";

/** Mean absolute difference of two pictures of one size, as a share of full scale; alpha is left aside. */
export function differenceOf(a: PNG, b: PNG): number {
  if (a.width !== b.width || a.height !== b.height) throw new Error("the pictures differ in size");
  let sum = 0;
  for (let at = 0; at < a.data.length; at++) {
    if (at % 4 !== 3) sum += Math.abs((a.data[at] ?? 0) - (b.data[at] ?? 0));
  }
  return sum / ((a.data.length / 4) * 3 * 255);
}
