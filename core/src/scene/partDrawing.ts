import type { ResolvedPart } from "../design/resolve";
import { combine } from "../geometry/boolean/boolean";
import { multiply, sizeOf, type Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";
import { pieceOutline, type Drawing, type Piece, type PieceLine, type Surroundings } from "../motif/drawing";
import { placedOutline } from "../motif/placedMotif";
import { wedgeOf, wedgePath } from "./wedge";

/** A part's motif with its cutouts taken from it, at its place, within the wedge if it is trimmed. */
export function drawPart(part: ResolvedPart, surroundings: Surroundings): Drawing {
  const drawn = part.motif.draw(surroundings);
  const holes = part.cutouts.map((cutout) => placedOutline(cutout, surroundings));
  const placed = moved(
    reshaped(drawn, (path, rule) => (holes.length > 0 ? combine([path, ...holes], "difference", rule) : path)),
    part.motifAt,
  );
  const wedge = part.trimToWedge ? wedgeOf(part.rules, placed.path) : null;
  if (!wedge) return placed;
  const limits = wedgePath(wedge, placed.path);
  return reshaped(placed, (path, rule) => combine([path, limits], "intersection", rule));
}

type Reshape = (path: Path, rule: Piece["fillRule"]) => Path;

function reshaped({ path, pieces, told }: Drawing, reshape: Reshape): Drawing {
  if (!pieces) return { path: reshape(path, "nonzero"), pieces: null, told };
  const changed = pieces.map((piece): Piece => {
    const { at, ...rest } = piece;
    const outline = pieceOutline(piece);
    const next = reshape(outline, piece.fillRule);
    if (next === outline) return piece;
    const line = at && piece.line ? sizedLine(piece.line, sizeOf(at)) : piece.line;
    return { ...rest, path: next, line, fillRule: "nonzero" };
  });
  return { path: changed.flatMap(pieceOutline), pieces: changed, told };
}

function moved({ path, pieces, told }: Drawing, by: Matrix): Drawing {
  return { told, path: transformPath(path, by), pieces: pieces?.map((piece) => movedPiece(piece, by)) ?? null };
}

function movedPiece(piece: Piece, by: Matrix): Piece {
  if (piece.at) return { ...piece, at: multiply(by, piece.at) };
  return { ...piece, path: transformPath(piece.path, by), line: piece.line && sizedLine(piece.line, sizeOf(by)) };
}

function sizedLine(line: PieceLine, size: number): PieceLine {
  return { ...line, width: line.width * size, dash: line.dash.map((length) => length * size) };
}
