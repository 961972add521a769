/** A point a curve of values goes through. */
export interface Knot {
  /** A share of the way, 0…1. */
  readonly at: number;
  /** What holds there. */
  readonly value: number;
}

/**
 * A smooth function through knots that never leaves the values of the two knots it is between (Fritsch and Carlson,
 * SIAM J. Numer. Anal. 17, 1980); constant before the first knot and after the last.
 */
export function monotone(knots: readonly Knot[]): (at: number) => number {
  const sorted = [...knots].sort((a, b) => a.at - b.at);
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last) return () => 0;
  const slopes = slopesOf(sorted);
  return (at) => {
    if (at <= first.at) return first.value;
    if (at >= last.at) return last.value;
    const index = sorted.findLastIndex((knot) => knot.at <= at);
    const [from, to] = [sorted[index], sorted[index + 1]];
    if (!from || !to) return last.value;
    const span = to.at - from.at;
    const t = (at - from.at) / span;
    const [t2, t3] = [t * t, t * t * t];
    return (
      from.value * (2 * t3 - 3 * t2 + 1) +
      to.value * (3 * t2 - 2 * t3) +
      span * ((slopes[index] ?? 0) * (t3 - 2 * t2 + t) + (slopes[index + 1] ?? 0) * (t3 - t2))
    );
  };
}

/** The slope at each knot: none at a turn, else the harmonic mean of the slopes beside it. */
function slopesOf(knots: readonly Knot[]): number[] {
  const secants = knots.slice(1).map((knot, index) => {
    const before = knots[index] ?? knot;
    return knot.at === before.at ? 0 : (knot.value - before.value) / (knot.at - before.at);
  });
  return knots.map((_, index) => {
    const [before, after] = [secants[index - 1], secants[index]];
    if (before === undefined || after === undefined) return 0;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
}
