import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { offsetPath } from "../../geometry/offset/offset";
import type { Path } from "../../geometry/path";
import { without } from "./commonPlaces";
import type { Meeting } from "./meeting";
import type { Strand } from "./strands";
import { bandOf, isSmooth, type BandEnds, type Stretch } from "./stretch";

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
  meetings.forEach(({ taken }, index) => {
    const own = at(layers, index);
    const lower = at(over, index) === 0 ? 1 : 0;
    at(cutters, own.lower.strand).push(taken ? taken[lower] : cutterOf(strands, own, gap, ends));
  });
  return strands.map((strand, index) => without(bandOf(strand, ends), at(cutters, index)));
}

/** What lies over and what under where two bands meet. */
interface Layers {
  readonly upper: Stretch;
  readonly lower: Stretch;
}

/** What the stretch above takes from the strand below it; where that is the same one, it takes nothing from itself. */
function cutterOf(strands: readonly Strand[], { upper, lower }: Layers, gap: number, ends: BandEnds): Path {
  const band = (stretch: Stretch, wider = 0) => bandOf(at(strands, stretch.strand), ends, stretch, wider);
  const isPlain = gap === 0 || (ends.swell.length === 0 && isSmooth(at(strands, upper.strand), upper, gap));
  const wide = isPlain ? band(upper, 2 * gap) : offsetPath(band(upper), gap, "round");
  if (upper.strand !== lower.strand) return wide;
  return combine([combine([wide, band(lower, SPARE)], "intersection"), band(upper)], "difference");
}
