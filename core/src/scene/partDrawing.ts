import type { StandsBy } from "../design/partFields";
import type { ResolvedPart } from "../design/resolved";
import { combine } from "../geometry/boolean/boolean";
import { apply, multiply, translation, type Matrix } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { boxOfPath, transformPath, type Path } from "../geometry/path";
import { movedPiece, pieceOutline, redrawnPiece, type Drawing, type Piece, type Surroundings } from "../motif/drawing";
import { placedOutline } from "../motif/placedMotif";
import { wedgeOf, wedgePath } from "./wedge";

/** A part's motif as it is before any rule. */
export interface DrawnPart extends Drawing {
  /** From the motif's own space to where it stands. */
  readonly motifAt: Matrix;
  /** Where the motif's own origin came to, millimetres. */
  readonly foot: Point;
}

/** A part's motif with its cutouts taken from it, at its place, within the wedge if it is trimmed. */
export function drawPart(part: ResolvedPart, surroundings: Surroundings): DrawnPart {
  const drawn = part.motif.draw(surroundings);
  const stood = standingPoint(drawn.path, part.standsBy);
  const motifAt = multiply(part.motifAt, translation(-stood.x, -stood.y));
  const foot = apply(motifAt, ORIGIN);
  const holes = part.cutouts.map((cutout) => placedOutline(cutout, surroundings));
  const placed = moved(
    reshaped(drawn, (path, rule) => (holes.length > 0 ? combine([path, ...holes], "difference", rule) : path)),
    motifAt,
  );
  const wedge = part.join.trimToWedge ? wedgeOf(part.rules, placed.path, foot) : null;
  if (!wedge) return { ...placed, motifAt, foot };
  const limits = wedgePath(wedge, placed.path);
  const trimmed = reshaped(placed, (path, rule) => combine([path, limits], "intersection", rule));
  return { ...trimmed, motifAt, foot };
}

/** The point of an outline, in the motif's own space, that is set at its place. */
function standingPoint(path: Path, by: StandsBy): Point {
  if (by === "own" || path.length === 0) return ORIGIN;
  const { left, right, top, bottom } = boxOfPath(path);
  return { x: (left + right) / 2, y: by === "foot" ? bottom : (top + bottom) / 2 };
}

type Reshape = (path: Path, rule: Piece["fillRule"]) => Path;

function reshaped({ path, pieces, notes }: Drawing, reshape: Reshape): Drawing {
  if (!pieces) return { path: reshape(path, "nonzero"), pieces: null, notes };
  const changed = pieces.map((piece): Piece => {
    const next = redrawnPiece(piece, (outline) => reshape(outline, piece.fillRule));
    // What an outline is cut to has no holes of the other rule.
    return next === piece ? piece : { ...next, fillRule: "nonzero" };
  });
  return { path: changed.flatMap(pieceOutline), pieces: changed, notes };
}

function moved({ path, pieces, notes }: Drawing, by: Matrix): Drawing {
  return { notes, path: transformPath(path, by), pieces: pieces?.map((piece) => movedPiece(piece, by)) ?? null };
}
