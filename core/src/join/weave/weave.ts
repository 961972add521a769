import { at } from "../../geometry/at";
import type { Point } from "../../geometry/point";
import { alternate, type Passing } from "./alternate";
import { settled, type Round } from "./settle";

/** A crossing as it can be pointed at: its name stays while numbers change, as long as its copies cross as often. */
export interface WovenCrossing {
  /** Its name, which stays when numbers change. */
  readonly key: string;
  /** Where on the sheet, millimetres. */
  readonly point: Point;
  /** Whether it was turned over by hand. */
  readonly flipped: boolean;
  /** Whether strands cannot alternate here. */
  readonly fails: boolean;
}

/** Which strand lies over at each crossing, those turned by hand turned. */
export interface Weaving {
  /** For each crossing, which of its two strands lies above: the first (0) or the second (1). */
  readonly over: readonly (0 | 1)[];
  /** Every crossing, in order. */
  readonly crossings: readonly WovenCrossing[];
  /** What should be known of it, in words. */
  readonly notes: readonly string[];
}

/** A place where two bands lie over each other. */
export interface Woven extends Passing {
  /** Where on the sheet, millimetres. */
  readonly point: Point;
  /** Whether they change sides there: where they only touch, or cross twice, neither has to be over and under in turn. */
  readonly changesSides: boolean;
}

/**
 * Decides the crossings: in turn along each strand, then those flipped by hand, then those where three meet. `nameOf` tells a
 * strand's name.
 */
export function weaving(
  passings: readonly Woven[],
  isClosed: (strand: number) => boolean,
  nameOf: (strand: number) => string,
  flipped: readonly string[],
  rounds: readonly Round[],
): Weaving {
  const inTurn = [...passings.keys()].filter((index) => passings[index]?.changesSides);
  const alternation = alternate(
    inTurn.map((index) => at(passings, index)),
    isClosed,
  );
  const failing = new Set([...alternation.failing].map((index) => at(inTurn, index)));
  const sides = passings.map((): 0 | 1 => 0);
  inTurn.forEach((index, k) => (sides[index] = alternation.over[k] ?? 0));
  const counts = new Map<string, number>();
  const keys = passings.map(({ strands }) => {
    const pair = `${nameOf(strands[0])}.${nameOf(strands[1])}`;
    const number = counts.get(pair) ?? 0;
    counts.set(pair, number + 1);
    return `${pair}.${number}`;
  });
  const byHand = new Set(flipped);
  const isFlipped = (crossing: number) => byHand.has(keys[crossing] ?? "");
  const turned = sides.map((side, index) => (isFlipped(index) ? other(side) : side));
  const over = settled(turned, rounds, failing, isFlipped, (crossing) => !passings[crossing]?.changesSides);
  const crossings = passings.map(({ point }, index): WovenCrossing => ({
    key: keys[index] ?? "",
    point,
    flipped: isFlipped(index),
    fails: failing.has(index),
  }));
  const notes =
    failing.size === 0
      ? []
      : [`${failing.size} of ${passings.length} crossings cannot go over and under in turn; flip them by hand`];
  return { over, crossings, notes };
}

const other = (side: 0 | 1) => (side === 0 ? 1 : 0);
