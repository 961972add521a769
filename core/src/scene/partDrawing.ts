import type { ResolvedPart } from "../design/resolve";
import { combine } from "../geometry/boolean/boolean";
import { invert, multiply, sizeOf, type Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";
import type { Drawing, Piece, Surroundings } from "../motif/drawing";
import { placedOutline } from "../motif/placedMotif";
import { matrixAt } from "../rules/placements";
import type { PartGeometry } from "./scene";
import { wedgeOf, wedgePath } from "./wedge";

/** A part's motif with its cutouts taken from it, at its place, within the wedge if it is trimmed. */
export function drawPart(part: ResolvedPart, geometryOf: (id: string) => PartGeometry | undefined): Drawing {
  const surroundings = surroundingsOf(part, geometryOf);
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
    const next = reshape(piece.path, piece.fillRule);
    return next === piece.path ? piece : { ...piece, path: next, fillRule: "nonzero" };
  });
  return { path: changed.flatMap((piece) => piece.path), pieces: changed, told };
}

function moved({ path, pieces, told }: Drawing, by: Matrix): Drawing {
  const size = sizeOf(by);
  return {
    told,
    path: transformPath(path, by),
    pieces:
      pieces?.map((piece) => ({
        ...piece,
        path: transformPath(piece.path, by),
        line: piece.line && {
          ...piece.line,
          width: piece.line.width * size,
          dash: piece.line.dash.map((length) => length * size),
        },
      })) ?? null,
  };
}

/** Other parts' outlines as they stand on the sheet, brought into the motif's own space. */
function surroundingsOf(part: ResolvedPart, geometryOf: (id: string) => PartGeometry | undefined): Surroundings {
  const back = invert(multiply(part.at, part.motifAt));
  return {
    lineOf(id) {
      const geometry = geometryOf(id);
      if (!geometry || !back) return null;
      return transformPath(geometry.path, multiply(back, matrixAt(geometry.placements.matrices, 0)));
    },
  };
}
