/** Numbers from 0 up to 1 that are the same for the same seed. */
export type Random = () => number;

/** One of several. */
export function pick<T>(list: readonly T[], random: Random): T {
  const one = list[Math.floor(random() * list.length)];
  if (one === undefined) throw new Error("there is nothing to pick from");
  return one;
}

/** A whole number from 0 up to a bound. */
export function upTo(bound: number, random: Random): number {
  return Math.floor(random() * bound);
}
