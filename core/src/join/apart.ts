import { withoutDoubled } from "../geometry/arrangement/lines";
import { MOST_FACED, MOST_UNITED } from "../fields/most";
import { pieceOutline, redrawnPiece, type Piece } from "../motif/drawing";
import { shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt, type Placements } from "../rules/placements";
import { movedShape, type Shape } from "../rules/shape";
import { sizesOf } from "../rules/standing";
import { defineJoin, type JoinAsked } from "./definition";
import type { Composed, JoinedCopies } from "./joined";
import { cutAs, withinLimits } from "./joinLimits";
import { filled, lined } from "./pieces";
import { inPlace } from "./inPlace";

/** Copies painted one over the other. */
export const apart = defineJoin({
  kind: "apart",
  fields: {},
  leavesCopies: true,
  takesOffset: true,
  takesDoubled: true,
  most: (dropDoubled) => (dropDoubled ? MOST_FACED : MOST_UNITED),
  join: (composed, _values, asked) => keptApart(composed, asked),
});

/** Each copy by itself, cut and kept, its number and paint its own; doubled lines once over all. */
function keptApart(composed: Composed, { limits, dropDoubled, bands }: JoinAsked): JoinedCopies {
  const { placements } = composed;
  const placed = Array.from({ length: placements.count }, (_, copy): Shape => {
    const { path, pieces } = movedShape(shapeOfCopy(composed, copy), matrixAt(placements.matrices, copy));
    if (!pieces) return { path: withinLimits(path, limits, cutAs(bands)), pieces: null };
    const cut = pieces.map((piece): Piece => {
      const next = redrawnPiece(piece, (outline) => withinLimits(outline, limits, piece.fillRule));
      return next === piece ? piece : { ...next, fillRule: "nonzero" };
    });
    return { path: cut.flatMap(pieceOutline), pieces: cut };
  });
  const once = dropDoubled ? drawnOnce(placed) : placed;
  const stood = inPlace(once.length);
  const kept: Placements = {
    ...placements,
    matrices: stood.matrices,
    shapeOf: stood.shapeOf,
  };
  const sizes = sizesOf(placements);
  return { shapes: once, placements: kept, sizes, colorOf: null, faceOf: null, crossings: null, notes: [] };
}

/** Fills as they are, and of every outline only the stretches no outline before it has drawn. */
function drawnOnce(shapes: readonly Shape[]): Shape[] {
  const lines = withoutDoubled(shapes.map(({ path }) => path));
  return shapes.map((shape, copy) => {
    const line = lines[copy] ?? shape.path;
    if (shape.pieces || line === shape.path) return shape;
    return { path: shape.path, pieces: [filled(shape.path), lined(line)] };
  });
}
