import { widestOf, type LineShape } from "../finish/line/lineShape";
import type { Path } from "../geometry/path";
import { NO_LINE, type Piece } from "../motif/drawing";
import type { Shape } from "../rules/shapes";
import type { Composed, JoinedCopies } from "./joinCopies";
import { lostColors } from "./lostColors";
import { withinLimits, type Limits } from "./limits";
import { standing } from "./standing";
import { isRing, overlapsOf, wovenBands } from "./weave/bands";
import { crossingsOf } from "./weave/crossings";
import { strandsOf } from "./weave/strands";
import { weaving, wovenAreas, type Weaving } from "./weave/weave";

/** What a weave goes by: filled copies are bands by themselves, others are as wide as the part's line. */
export interface WeaveAsked {
  readonly gap: number;
  readonly flipped: readonly string[];
  readonly filled: boolean;
  readonly line: LineShape | null;
}

/** Copies that go over and under each other in turn. */
export function interlaced(
  composed: Composed,
  outlines: readonly Path[],
  { weave, limits }: { readonly weave: WeaveAsked; readonly limits: Limits },
): JoinedCopies {
  const { filled, line } = weave;
  const bands = filled && outlines.some((path) => path.some(({ closed }) => closed));
  if (bands) return joined(composed, bandShapes(outlines, weave, limits));
  if (!line || widestOf(line) <= 0) {
    const told = ["a weave needs bands: give the copies a line or a fill"];
    return joined(composed, { shapes: outlines.map((path) => ({ path, pieces: null })), crossings: [], told });
  }
  return joined(composed, strandShapes(composed, outlines, line, weave, limits));
}

interface Woven extends Pick<Weaving, "crossings" | "told"> {
  readonly shapes: readonly Shape[];
}

function joined(composed: Composed, { shapes, crossings, told }: Woven): JoinedCopies {
  const { matrices, shapeOf } = standing(shapes.length);
  const placements = { ...composed.placements, matrices, shapeOf };
  return {
    shapes,
    placements,
    colorOf: null,
    faceOf: null,
    crossings,
    told: [...told, ...lostColors(composed.shapes)],
  };
}

function bandShapes(outlines: readonly Path[], { gap, flipped }: WeaveAsked, limits: Limits): Woven {
  const areas = outlines.map((path) => path.filter(({ closed }) => closed));
  const overlaps = overlapsOf(areas);
  const { over, ...woven } = weaving(overlaps, (band) => isRing(areas[band] ?? []), String, flipped);
  const cut = wovenBands(areas, overlaps, over, gap);
  return { ...woven, shapes: cut.map((path) => ({ path: withinLimits(path, limits), pieces: null })) };
}

function strandShapes(
  composed: Composed,
  outlines: readonly Path[],
  line: LineShape,
  { gap, flipped }: WeaveAsked,
  limits: Limits,
): Woven {
  const strands = strandsOf(composed, line);
  const crossings = crossingsOf(strands);
  const { over, ...woven } = weaving(
    crossings,
    (strand) => strands[strand]?.run.closed ?? false,
    (strand) => nameOf(strand, strands),
    flipped,
  );
  const areas = wovenAreas(strands, crossings, over, gap, line);
  const plain = line.dash.length > 0 || line.dots ? ["a woven line is drawn whole, without dashes and dots"] : [];
  const shapes = outlines.map((path, copy): Shape => {
    const pieces = areas.flatMap((area, strand): Piece[] =>
      strands[strand]?.copy === copy ? [bandPiece(withinLimits(area, limits))] : [],
    );
    return { path, pieces };
  });
  return { crossings: woven.crossings, told: [...woven.told, ...plain], shapes };
}

function bandPiece(path: Path): Piece {
  return { path, fill: "line", fillRule: "nonzero", line: NO_LINE, opacity: 1 };
}

/** A strand's copy, and which of its runs it is where it has several. */
function nameOf(strand: number, strands: ReturnType<typeof strandsOf>): string {
  const copy = strands[strand]?.copy ?? 0;
  const run = strand - strands.findIndex((other) => other.copy === copy);
  return run === 0 ? String(copy) : `${copy}r${run}`;
}
