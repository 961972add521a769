import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import type { Path } from "../../geometry/path";
import type { Point } from "../../geometry/point";
import { stripAlong } from "../../geometry/strip/strip";
import type { LineShape } from "../../geometry/strip/lineShape";
import { alternate, type Passing } from "./alternate";
import type { Crossing } from "./crossings";
import type { Strand } from "./strands";

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

/** Decides the crossings. `nameOf` tells a strand's name, for crossings that were flipped by hand. */
export function weaving(
  passings: readonly (Passing & { readonly point: Point })[],
  isClosed: (strand: number) => boolean,
  nameOf: (strand: number) => string,
  flipped: readonly string[],
): Weaving {
  const { over, failing } = alternate(passings, isClosed);
  const counts = new Map<string, number>();
  const crossings = passings.map(({ strands, point }, index): WovenCrossing => {
    const pair = `${nameOf(strands[0])}.${nameOf(strands[1])}`;
    const number = counts.get(pair) ?? 0;
    counts.set(pair, number + 1);
    const key = `${pair}.${number}`;
    return { key, point, flipped: flipped.includes(key), fails: failing.has(index) };
  });
  const notes =
    failing.size === 0
      ? []
      : [`${failing.size} of ${passings.length} crossings cannot go over and under in turn; flip them by hand`];
  return {
    over: over.map((side, index) => (crossings[index]?.flipped ? (side === 0 ? 1 : 0) : side)),
    crossings,
    notes: notes,
  };
}

/** The area of each strand, what lies over it cut away with a gap (millimetres) to either side. */
export function wovenAreas(
  strands: readonly Strand[],
  crossings: readonly Crossing[],
  over: readonly (0 | 1)[],
  gap: number,
  line: Pick<LineShape, "cap" | "join" | "swell">,
): Path[] {
  const cutters: Path[][] = strands.map(() => []);
  crossings.forEach((crossing, index) => {
    const upper = at(over, index);
    const lower = upper === 0 ? 1 : 0;
    const above = at(strands, crossing.strands[upper]);
    const below = at(strands, crossing.strands[lower]);
    at(cutters, crossing.strands[lower]).push(stretchOver(above, below, crossing, upper, gap));
  });
  const changing = line.swell.length > 1;
  return strands.map(({ line: laid, length, widthAt }, index) => {
    const whole = stripAlong(laid, 0, length, widthAt, line, changing);
    const cuts = cutters[index] ?? [];
    return cuts.length > 0 ? combine([whole, ...cuts], "difference") : whole;
  });
}

/** The stretch of the upper strand that covers the lower one, with the gap. */
function stretchOver(above: Strand, below: Strand, { along, angle }: Crossing, upper: 0 | 1, gap: number): Path {
  const at = along[upper];
  const [own, other] = [above.widthAt(at), below.widthAt(along[upper === 0 ? 1 : 0])];
  const reach = (other / 2 + (own / 2 + gap) * Math.cos(angle)) / Math.sin(angle) + gap;
  const ends = { cap: "butt", join: "miter" } as const;
  const strip = (from: number, to: number) =>
    stripAlong(
      above.line,
      Math.max(0, from),
      Math.min(above.length, to),
      (length) => above.widthAt(length) + 2 * gap,
      ends,
    );
  const path = strip(at - reach, at + reach);
  if (!above.run.closed) return path;
  // A closed strand goes on beyond where it begins.
  return [
    ...path,
    ...(at < reach ? strip(above.length + at - reach, above.length) : []),
    ...(at + reach > above.length ? strip(0, at + reach - above.length) : []),
  ];
}
