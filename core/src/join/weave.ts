import { at } from "../geometry/at";
import type { ResolvedOf } from "../fields/field";
import { list } from "../fields/list";
import { MOST_BY_HAND, MOST_WOVEN } from "../fields/most";
import { number } from "../fields/number";
import { text } from "../fields/text";
import { OUTLINE_EFFORT, spendOnOutlines } from "../geometry/effortOfOutlines";
import type { Path } from "../geometry/path";
import { widestOf, type LineShape } from "../geometry/strip/lineShape";
import { NO_LINE, type Piece } from "../motif/drawing";
import { copyOutlines } from "../rules/copyOutlines";
import type { Shape } from "../rules/shape";
import { sizesOf } from "../rules/standing";
import type { Bands } from "./bands";
import { defineJoin } from "./definition";
import type { Composed, JoinedCopies } from "./joined";
import { withinLimits, type JoinLimits } from "./joinLimits";
import { lostColors } from "./lostColors";
import { inPlace } from "./inPlace";
import { isRing, overlapsOf, roundsOfBands, wovenBands } from "./weave/bands";
import { meetingsOf } from "./weave/meetings";
import { roundsOf } from "./weave/rounds";
import { strandsOf } from "./weave/strands";
import { weaving, type Weaving } from "./weave/weave";
import { wovenAreas } from "./weave/wovenAreas";

const FIELDS = {
  /** Left free to either side of what lies over. Millimetres. */
  gap: number("length", 0.4, { min: 0, max: 100, step: 0.1 }),
  /** Crossings turned by hand, by their strands and their number along the first: "0.3.1". */
  flipped: list(text("", 40), { most: MOST_BY_HAND }),
};

type WeaveValues = ResolvedOf<typeof FIELDS>;

/** Copies that go over and under each other in turn. */
export const weave = defineJoin({
  kind: "weave",
  fields: FIELDS,
  takesOffset: false,
  most: () => MOST_WOVEN,
  geometryKey: (values, bands) => [values.gap, values.flipped, bands],
  join: (composed, values, { bands, limits }) => interlaced(composed, values, bands, limits),
});

function interlaced(composed: Composed, weave: WeaveValues, { filled, line }: Bands, limits: JoinLimits): JoinedCopies {
  const outlines = copyOutlines(composed);
  spendOnOutlines(outlines, OUTLINE_EFFORT.woven);
  const bands = filled && outlines.some((path) => path.some(({ closed }) => closed));
  if (bands) return joined(composed, bandShapes(outlines, weave, limits));
  if (!line || widestOf(line) <= 0) {
    const notes = ["a weave needs bands: give the copies a line or a fill"];
    return joined(composed, { shapes: outlines.map((path) => ({ path, pieces: null })), crossings: [], notes: notes });
  }
  return joined(composed, strandShapes(composed, outlines, line, weave, limits));
}

interface WovenShapes extends Pick<Weaving, "crossings" | "notes"> {
  readonly shapes: readonly Shape[];
}

function joined(composed: Composed, { shapes, crossings, notes }: WovenShapes): JoinedCopies {
  const { matrices, shapeOf } = inPlace(shapes.length);
  const placements = { ...composed.placements, matrices, shapeOf };
  return {
    shapes,
    placements,
    sizes: sizesOf(composed.placements),
    colorOf: null,
    faceOf: null,
    crossings,
    notes: [...notes, ...lostColors(composed.shapes)],
  };
}

function bandShapes(outlines: readonly Path[], { gap, flipped }: WeaveValues, limits: JoinLimits): WovenShapes {
  const areas = outlines.map((path) => path.filter(({ closed }) => closed));
  const overlaps = overlapsOf(areas, gap);
  const isClosed = (band: number) => isRing(areas[band] ?? []);
  const { over, ...woven } = weaving(overlaps, isClosed, String, flipped, roundsOfBands(overlaps, gap));
  const cut = wovenBands(areas, overlaps, over);
  return { ...woven, shapes: cut.map((path) => ({ path: withinLimits(path, limits), pieces: null })) };
}

function strandShapes(
  composed: Composed,
  outlines: readonly Path[],
  line: LineShape,
  { gap, flipped }: WeaveValues,
  limits: JoinLimits,
): WovenShapes {
  const strands = strandsOf(composed, line);
  const meetings = meetingsOf(strands, line, gap);
  const { over, ...woven } = weaving(
    meetings,
    (strand) => strands[strand]?.run.closed ?? false,
    (strand) => nameOf(strand, strands),
    flipped,
    roundsOf(meetings, strands, line, gap),
  );
  const areas = wovenAreas(strands, meetings, over, gap, line);
  const close = meetings.filter(({ crossings }) => crossings > 1).length;
  const lying =
    close > 0
      ? [
          `in ${close === 1 ? "1 place" : `${close} places`} bands lie over each other from one crossing to the next; there one lies over all along`,
        ]
      : [];
  const plain = line.dash.length > 0 || line.dots ? ["a woven line is drawn whole, without dashes and dots"] : [];
  const shapes = outlines.map((path, copy): Shape => {
    const pieces = areas.flatMap((area, strand): Piece[] =>
      strands[strand]?.copy === copy ? [bandPiece(withinLimits(area, limits))] : [],
    );
    return { path, pieces };
  });
  return { crossings: woven.crossings, notes: [...woven.notes, ...lying, ...plain], shapes };
}

function bandPiece(path: Path): Piece {
  return { path, fill: "line", fillRule: "nonzero", line: NO_LINE, opacity: 1 };
}

/** A strand's copy, and which of its runs it is where it has several. */
function nameOf(strand: number, strands: ReturnType<typeof strandsOf>): string {
  const { copy } = at(strands, strand);
  const run = strand - strands.findIndex((other) => other.copy === copy);
  return run === 0 ? String(copy) : `${copy}r${run}`;
}
