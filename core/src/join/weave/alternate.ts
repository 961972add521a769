import { at } from "../../geometry/at";

/** A crossing as far as going over and under is concerned: two strands and the way along each. */
export interface Passing {
  /** The numbers of the two strands. */
  readonly strands: readonly [number, number];
  /** How far along each they meet, millimetres. */
  readonly along: readonly [number, number];
}

/** Which strand of each crossing lies over: 0 the first, 1 the second; and the crossings at which a strand cannot alternate. */
export interface Alternation {
  /** For each crossing, which of its two strands lies above: the first (0) or the second (1). */
  readonly over: readonly (0 | 1)[];
  /** Crossings at which over and under could not take turns. */
  readonly failing: ReadonlySet<number>;
}

/** One strand going through a crossing, as its first or its second. */
interface Visit {
  readonly crossing: number;
  readonly side: 0 | 1;
}

/**
 * Strands that go over and under in turn, wherever that can be: along a strand the next crossing is the other way
 * round than the one before. Choices spread from crossing to crossing; one that two strands want differently fails.
 */
export function alternate(passings: readonly Passing[], isClosed: (strand: number) => boolean): Alternation {
  const steps = stepsOf(passings, isClosed);
  const over: (0 | 1 | undefined)[] = passings.map(() => undefined);
  const failing = new Set<number>();
  passings.forEach((_, start) => {
    if (over[start] !== undefined) return;
    over[start] = 0;
    const open = [start];
    for (let crossing = open.shift(); crossing !== undefined; crossing = open.shift()) {
      for (const { to, differs } of steps.get(crossing) ?? []) {
        const wanted = (over[crossing] === 0) === differs ? 1 : 0;
        if (over[to] === undefined) {
          over[to] = wanted;
          open.push(to);
        } else if (over[to] !== wanted) failing.add(Math.max(crossing, to));
      }
    }
  });
  return { over: over.map((side) => side ?? 0), failing };
}

interface Step {
  readonly to: number;
  /** Whether the next crossing has the other of its strands over. */
  readonly differs: boolean;
}

function stepsOf(passings: readonly Passing[], isClosed: (strand: number) => boolean): Map<number, Step[]> {
  const steps = new Map<number, Step[]>();
  const add = (from: Visit, to: Visit) => {
    if (from.crossing === to.crossing) return;
    // On the same side of both crossings a strand alternates when their upper sides differ.
    const differs = from.side === to.side;
    steps.set(from.crossing, [...(steps.get(from.crossing) ?? []), { to: to.crossing, differs }]);
    steps.set(to.crossing, [...(steps.get(to.crossing) ?? []), { to: from.crossing, differs }]);
  };
  for (const [strand, visits] of visitsOf(passings)) {
    visits.forEach((visit, index) => {
      const next = visits[index + 1] ?? (isClosed(strand) && visits.length > 2 ? visits[0] : undefined);
      if (next) add(visit, next);
    });
  }
  return steps;
}

/** For each strand its crossings in the order it comes to them. */
export function visitsOf(passings: readonly Passing[]): Map<number, Visit[]> {
  const visits = new Map<number, Visit[]>();
  passings.forEach(({ strands }, crossing) => {
    for (const side of [0, 1] as const) {
      const own = visits.get(strands[side]) ?? [];
      own.push({ crossing, side });
      visits.set(strands[side], own);
    }
  });
  const alongOf = ({ crossing, side }: Visit) => at(passings, crossing).along[side];
  for (const own of visits.values()) own.sort((a, b) => alongOf(a) - alongOf(b));
  return visits;
}
