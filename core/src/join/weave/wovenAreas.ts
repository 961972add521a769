import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { offsetPath } from "../../geometry/offset/offset";
import type { Path } from "../../geometry/path";
import type { Meeting } from "./meetings";
import type { Strand } from "./strands";
import { bandOf, isSmooth, overlap, type BandEnds, type Stretch } from "./stretch";

/** The stretch that lies under is taken so much wider, so that no sliver of its edge is left. Millimetres. */
const SPARE = 0.1;

/** The area of each strand's band, what lies over it cut away with a gap (millimetres) around. */
export function wovenAreas(
  strands: readonly Strand[],
  meetings: readonly Meeting[],
  over: readonly (0 | 1)[],
  gap: number,
  ends: BandEnds,
): Path[] {
  const cutters: Path[][] = strands.map(() => []);
  const layers = meetings.map(({ stretches: [first, second] }, index): Layers => {
    const isFirst = at(over, index) === 0;
    return { upper: isFirst ? first : second, lower: isFirst ? second : first };
  });
  const byPair = new Map<string, Layers[]>();
  meetings.forEach(({ strands: pair }, index) => {
    const key = pair.join(".");
    byPair.set(key, [...(byPair.get(key) ?? []), at(layers, index)]);
  });
  meetings.forEach(({ strands: pair }, index) => {
    const own = at(layers, index);
    const { length } = at(strands, own.upper.strand);
    const beside = (byPair.get(pair.join(".")) ?? []).filter(
      (other) => other !== own && [other.upper, other.lower].some((stretch) => overlap(stretch, own.upper, length)),
    );
    at(cutters, own.lower.strand).push(cutterOf(strands, own, beside, gap, ends));
  });
  return strands.map((strand, index) => {
    const whole = bandOf(strand, ends);
    const cuts = at(cutters, index);
    return cuts.length > 0 ? combine([whole, ...cuts], "difference") : whole;
  });
}

/** What lies over and what under where two bands meet. */
interface Layers {
  readonly upper: Stretch;
  readonly lower: Stretch;
}

/** What the stretch above takes from the strand below it, told apart from where the same two strands meet beside it. */
function cutterOf(
  strands: readonly Strand[],
  { upper, lower }: Layers,
  beside: readonly Layers[],
  gap: number,
  ends: BandEnds,
): Path {
  const band = (stretch: Stretch, wider = 0) => bandOf(at(strands, stretch.strand), ends, stretch, wider);
  const isPlain = gap === 0 || (ends.swell.length === 0 && isSmooth(at(strands, upper.strand), upper, gap));
  const wide = isPlain ? band(upper, 2 * gap) : offsetPath(band(upper), gap, "round");
  const isOfItself = upper.strand === lower.strand;
  if (beside.length === 0 && !isOfItself) return wide;
  const near = combine([wide, band(lower, SPARE)], "intersection");
  // Where the strand below lies over itself, or over the other one beside, it stays whole.
  const whole = isOfItself
    ? [band(upper)]
    : beside
        .filter((other) => other.upper.strand === lower.strand)
        .map((other) => combine([band(other.upper), band(other.lower)], "intersection"));
  return whole.length > 0 ? combine([near, ...whole], "difference") : near;
}
