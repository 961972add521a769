import { at } from "../../geometry/at";
import { DisjointSets } from "../../geometry/disjointSets";
import { addTo } from "../../geometry/keyedLists";
import type { Chord, ChordCrossing } from "./chords";

/** Pairs of chords that hang together, side by side. */
export interface PairGroup {
  /** The chords of the first strand and those of the second. */
  readonly sides: readonly [readonly Chord[], readonly Chord[]];
  /** Where they cross. */
  readonly crossings: readonly ChordCrossing[];
}

interface Pair {
  readonly a: Chord;
  readonly b: Chord;
  readonly crossing: ChordCrossing | null;
}

/** Pairs of chords that are near each other, gathered where both go on to the next. */
export class NearPairs {
  private readonly pairs: Pair[] = [];
  private readonly numbers = new Map<number, number>();
  /** The number of each strand's first bit among all. */
  private readonly firsts: readonly number[];
  private readonly count: number;

  /** `counts` tells how many bits each strand has. */
  constructor(
    private readonly counts: readonly number[],
    private readonly isClosed: (strand: number) => boolean,
  ) {
    let count = 0;
    this.firsts = counts.map((own) => {
      const first = count;
      count += own;
      return first;
    });
    this.count = count;
  }

  /** Adds a pair, the chord of the earlier strand first. */
  add(a: Chord, b: Chord, crossing: ChordCrossing | null): void {
    this.numbers.set(this.keyed(this.numberOf(a, 0), this.numberOf(b, 0)), this.pairs.length);
    this.pairs.push({ a, b, crossing });
  }

  /** The groups, in the order of their first pairs. */
  groups(): PairGroup[] {
    const sets = new DisjointSets(this.pairs.length);
    this.pairs.forEach(({ a, b }, index) => {
      for (const other of this.beside(a, b)) sets.join(index, other);
    });
    const groups = new Map<number, Pair[]>();
    this.pairs.forEach((pair, index) => addTo(groups, sets.rootOf(index), pair));
    return [...groups.values()].map((pairs) => ({
      sides: [[...new Set(pairs.map(({ a }) => a))], [...new Set(pairs.map(({ b }) => b))]],
      crossings: pairs.flatMap(({ crossing }) => (crossing ? [crossing] : [])),
    }));
  }

  /** The numbers of the pairs before one: one bit back on either strand or on both, or back on one and on along the other. */
  private beside(a: Chord, b: Chord): number[] {
    const [p, q] = [this.numberOf(a, 0), this.numberOf(b, 0)];
    const [beforeP, beforeQ, afterQ] = [this.numberOf(a, -1), this.numberOf(b, -1), this.numberOf(b, 1)];
    const found = [
      this.keyed(p, beforeQ),
      this.keyed(beforeP, q),
      this.keyed(beforeP, beforeQ),
      this.keyed(beforeP, afterQ),
    ];
    return found.flatMap((key) => this.numbers.get(key) ?? []);
  }

  /** The number among all of a bit, or of the one before or behind it; −1 beyond an end. */
  private numberOf({ strand, index }: Chord, by: -1 | 0 | 1): number {
    const [own, first] = [at(this.counts, strand), at(this.firsts, strand)];
    const other = index + by;
    if (other >= 0 && other < own) return first + other;
    return this.isClosed(strand) ? first + ((other + own) % own) : -1;
  }

  private keyed(p: number, q: number): number {
    return p < 0 || q < 0 ? -1 : Math.min(p, q) * this.count + Math.max(p, q);
  }
}
