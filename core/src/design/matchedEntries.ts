import { at } from "../geometry/at";
import { cheapestPairs } from "./cheapestPairs";

/** Which entry of one list is which of another, by their numbers. */
export interface MatchedEntries {
  /** Pairs of entries that are the same thing: first of the one, then of the other. In the order of the first. */
  readonly pairs: readonly (readonly [number, number])[];
  /** Entries only the one has. */
  readonly removed: readonly number[];
  /** Entries only the other has. */
  readonly added: readonly number[];
}

/** In how many things two entries of one name differ. */
type Unlikeness<T> = (a: T, b: T) => number;

/**
 * Matches two lists of named entries: as many of each name as both have, so that they differ in as little as can be, counting as one
 * more that they come in another order. Being the least, it is one less once any one difference is taken over.
 */
export function matchEntries<T>(
  from: readonly T[],
  to: readonly T[],
  nameOf: (entry: T) => string | null,
  unlike: Unlikeness<T>,
): MatchedEntries {
  const [own, other] = [placesByName(from, nameOf), placesByName(to, nameOf)];
  const costs = from.map(() => new Map<number, number>());
  const cheapest: (readonly [number, number])[] = [];
  for (const [name, rows] of own) {
    const columns = other.get(name) ?? [];
    for (const i of rows) for (const j of columns) at(costs, i).set(j, unlike(at(from, i), at(to, j)));
    const pairs = cheapestPairs(rows.map((i) => columns.map((j) => at(costs, i).get(j) ?? 0)));
    cheapest.push(...pairs.map(([row, column]) => [at(rows, row), at(columns, column)] as const));
  }
  const inOrder = cheapestInOrder(costs, to.length);
  const isAsGood = inOrder.length === cheapest.length && costOf(inOrder, costs) <= costOf(cheapest, costs);
  const pairs = (isAsGood ? inOrder : cheapest).toSorted(([a], [b]) => a - b);
  const [left, right] = [new Set(pairs.map(([i]) => i)), new Set(pairs.map(([, j]) => j))];
  return {
    pairs,
    removed: [...from.keys()].filter((i) => !left.has(i)),
    added: [...to.keys()].filter((j) => !right.has(j)),
  };
}

type Costs = readonly ReadonlyMap<number, number>[];

function costOf(pairs: readonly (readonly [number, number])[], costs: Costs): number {
  return pairs.reduce((sum, [i, j]) => sum + (at(costs, i).get(j) ?? 0), 0);
}

function placesByName<T>(list: readonly T[], nameOf: (entry: T) => string | null): Map<string | null, number[]> {
  const places = new Map<string | null, number[]>();
  list.forEach((entry, place) => {
    const name = nameOf(entry);
    places.set(name, [...(places.get(name) ?? []), place]);
  });
  return places;
}

/** A pair more is worth more than any difference. */
const A_PAIR = 1e6;

/** As many pairs as can be in the same order in both lists, and of those the cheapest (Needleman and Wunsch, 1970). */
function cheapestInOrder(costs: Costs, columns: number): [number, number][] {
  // best[i][j]: what the entries from i and j on are worth.
  const best = Array.from({ length: costs.length + 1 }, () => new Float64Array(columns + 1));
  const worth = (i: number, j: number) => {
    const cost = costs[i]?.get(j);
    return cost === undefined ? -Infinity : A_PAIR - cost + at(at(best, i + 1), j + 1);
  };
  for (let i = costs.length - 1; i >= 0; i--) {
    const [row, below] = [at(best, i), at(best, i + 1)];
    for (let j = columns - 1; j >= 0; j--) row[j] = Math.max(at(below, j), at(row, j + 1), worth(i, j));
  }
  const pairs: [number, number][] = [];
  for (let i = 0, j = 0; i < costs.length && j < columns;) {
    const here = at(at(best, i), j);
    if (here === worth(i, j)) pairs.push([i++, j++]);
    else if (here === at(at(best, i + 1), j)) i += 1;
    else j += 1;
  }
  return pairs;
}
