import type { ResolvedPart } from "../design/resolved";
import { combine } from "../geometry/boolean/boolean";
import { apply, type Matrix } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { transformPath, type Path } from "../geometry/path";
import { movedPiece, pieceOutline, redrawnPiece, type Drawing, type Piece, type Surroundings } from "../motif/drawing";
import { placedOutline } from "../motif/placedMotif";
import { wedgeOf, wedgePath } from "./wedge";

/** Where a part's motif has its foot before any rule, millimetres. */
export function footOf({ motifAt }: Pick<ResolvedPart, "motifAt">): Point {
  return apply(motifAt, ORIGIN);
}

/** A part's motif with its cutouts taken from it, at its place, within the wedge if it is trimmed. */
export function drawPart(part: ResolvedPart, surroundings: Surroundings): Drawing {
  const drawn = part.motif.draw(surroundings);
  const holes = part.cutouts.map((cutout) => placedOutline(cutout, surroundings));
  const placed = moved(
    reshaped(drawn, (path, rule) => (holes.length > 0 ? combine([path, ...holes], "difference", rule) : path)),
    part.motifAt,
  );
  const wedge = part.join.trimToWedge ? wedgeOf(part.rules, placed.path, footOf(part)) : null;
  if (!wedge) return placed;
  const limits = wedgePath(wedge, placed.path);
  return reshaped(placed, (path, rule) => combine([path, limits], "intersection", rule));
}

type Reshape = (path: Path, rule: Piece["fillRule"]) => Path;

function reshaped({ path, pieces, notes: notes }: Drawing, reshape: Reshape): Drawing {
  if (!pieces) return { path: reshape(path, "nonzero"), pieces: null, notes: notes };
  const changed = pieces.map((piece): Piece => {
    const next = redrawnPiece(piece, (outline) => reshape(outline, piece.fillRule));
    // What an outline is cut to has no holes of the other rule.
    return next === piece ? piece : { ...next, fillRule: "nonzero" };
  });
  return { path: changed.flatMap(pieceOutline), pieces: changed, notes: notes };
}

function moved({ path, pieces, notes }: Drawing, by: Matrix): Drawing {
  return { notes, path: transformPath(path, by), pieces: pieces?.map((piece) => movedPiece(piece, by)) ?? null };
}
