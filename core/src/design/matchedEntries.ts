/** Which entry of one list is which of another, by their numbers. */
export interface MatchedEntries {
  /** Pairs of entries that are the same thing: first of the one, then of the other. In the order of the first. */
  readonly pairs: readonly (readonly [number, number])[];
  /** Entries only the one has. */
  readonly removed: readonly number[];
  /** Entries only the other has. */
  readonly added: readonly number[];
}

/** How alike two entries are: 0 where they cannot be the same thing. */
type Likeness<T> = (a: T, b: T) => number;

/**
 * Matches two lists: as many alike entries as can be in the same order (the longest common subsequence, weighted by likeness), then
 * what is left in any order.
 */
export function matchEntries<T>(from: readonly T[], to: readonly T[], likeness: Likeness<T>): MatchedEntries {
  const pairs = commonSubsequence(from, to, likeness);
  const left = new Set(from.keys());
  const free = new Set(to.keys());
  for (const [i, j] of pairs) {
    left.delete(i);
    free.delete(j);
  }
  for (const i of left) {
    const own = from[i];
    const j = [...free].find((other) => {
      const there = to[other];
      return own !== undefined && there !== undefined && likeness(own, there) > 0;
    });
    if (j === undefined) continue;
    pairs.push([i, j]);
    left.delete(i);
    free.delete(j);
  }
  return { pairs: pairs.sort(([a], [b]) => a - b), removed: [...left], added: [...free] };
}

function commonSubsequence<T>(from: readonly T[], to: readonly T[], likeness: Likeness<T>): [number, number][] {
  // best[i][j]: the most that the entries from i and j on come to.
  const best = Array.from({ length: from.length + 1 }, () => new Array<number>(to.length + 1).fill(0));
  const like = (i: number, j: number) => {
    const [a, b] = [from[i], to[j]];
    return a === undefined || b === undefined ? 0 : likeness(a, b);
  };
  const at = (i: number, j: number) => best[i]?.[j] ?? 0;
  for (let i = from.length - 1; i >= 0; i--) {
    for (let j = to.length - 1; j >= 0; j--) {
      const own = like(i, j);
      const row = best[i];
      if (row) row[j] = Math.max(at(i + 1, j), at(i, j + 1), own > 0 ? own + at(i + 1, j + 1) : 0);
    }
  }
  const pairs: [number, number][] = [];
  for (let i = 0, j = 0; i < from.length && j < to.length;) {
    const own = like(i, j);
    if (own > 0 && at(i, j) === own + at(i + 1, j + 1)) {
      pairs.push([i, j]);
      i += 1;
      j += 1;
    } else if (at(i, j) === at(i + 1, j)) i += 1;
    else j += 1;
  }
  return pairs;
}
