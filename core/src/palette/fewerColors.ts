import { differenceEuclidean } from "culori";

const difference = differenceEuclidean("oklab");

/** For each colour the first of them that looks much like it: nearer than a distance in OKLab, where black and white are 1 apart. */
export function fewerColors(colors: Iterable<string>, within: number): ReadonlyMap<string, string> {
  const kept: string[] = [];
  const own = new Map<string, string>();
  for (const color of colors) {
    if (own.has(color)) continue;
    const known = kept.find((other) => difference(color, other) < within);
    if (known === undefined) kept.push(color);
    own.set(color, known ?? color);
  }
  return own;
}
