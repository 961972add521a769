import type { PNG } from "pngjs";

/** Mean absolute difference of two pictures of one size, as a share of full scale; alpha is left aside. */
export function differenceOf(a: PNG, b: PNG): number {
  if (a.width !== b.width || a.height !== b.height) throw new Error("the pictures differ in size");
  // Globals are slow to reach from the test runner's sandbox: nothing global within the loop.
  const [p, q] = [a.data, b.data];
  const { length } = p;
  let sum = 0;
  for (let at = 0; at < length; at++) {
    if (at % 4 === 3) continue;
    const difference = (p[at] ?? 0) - (q[at] ?? 0);
    sum += difference < 0 ? -difference : difference;
  }
  return sum / ((length / 4) * 3 * 255);
}
