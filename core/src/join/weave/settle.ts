import { at } from "../../geometry/at";
import { once } from "../../geometry/once";

/** Three bands that meet in one place, each two of them at a crossing: who must lie over for each to lie over the next one round. */
export interface Round {
  /** The numbers of the three crossings. */
  readonly crossings: readonly [number, number, number];
  /** Which side of each lies over when they go round one way; the other way it is the other side of all three. */
  readonly over: readonly [0 | 1, 0 | 1, 0 | 1];
  /** Whether the three bands have an area in common. */
  readonly isCommon: () => boolean;
}

/** Rounds are turned over so often, one by one; what goes round still is laid by number. */
const MOST_PASSES = 8;

/**
 * Sides that lie over, no three of one place going round: each would be hidden by the next, and nothing shown. Crossings that
 * are turned over for it are added to the failing ones, unless they are free to be either way; those turned by hand are left
 * as long as others can be turned.
 */
export function settled(
  over: readonly (0 | 1)[],
  rounds: readonly Round[],
  failing: Set<number>,
  isByHand: (crossing: number) => boolean,
  isFree: (crossing: number) => boolean,
): (0 | 1)[] {
  const left = [...over];
  const common = rounds.map((round) => once(round.isCommon));
  const isRound = (index: number) => {
    const { crossings, over: way } = at(rounds, index);
    const same = crossings.filter((crossing, k) => left[crossing] === way[k]).length;
    return (same === 0 || same === 3) && at(common, index)();
  };
  const partOf = new Map<number, number>();
  for (const crossing of rounds.flatMap((round) => round.crossings))
    partOf.set(crossing, (partOf.get(crossing) ?? 0) + 1);
  const turn = (crossing: number) => {
    left[crossing] = left[crossing] === 0 ? 1 : 0;
    if (!isFree(crossing)) failing.add(crossing);
  };
  const weight = (crossing: number) =>
    (isByHand(crossing) ? 1e9 : 0) +
    (isFree(crossing) ? 0 : 1e6) +
    (failing.has(crossing) ? 0 : 1e3) +
    (partOf.get(crossing) ?? 0);
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    const going = [...rounds.keys()].filter(isRound);
    if (going.length === 0) return left;
    for (const index of going) {
      // An earlier turn may have settled it, too.
      if (!isRound(index)) continue;
      const { crossings } = at(rounds, index);
      turn(crossings.reduce((best, crossing) => (weight(crossing) < weight(best) ? crossing : best)));
    }
  }
  for (const crossing of partOf.keys()) if (left[crossing] === 1) turn(crossing);
  return left;
}
