import { withoutDoubled } from "../geometry/arrangement/lines";
import { transformPath } from "../geometry/path";
import { MOST_FACED, MOST_UNITED } from "../fields/most";
import { pieceOutline, type Piece } from "../motif/drawing";
import { copyOutlines, shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt, type Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
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
  const placed = copyOutlines(composed).map((path, copy): Shape => {
    const { pieces } = shapeOfCopy(composed, copy);
    const matrix = matrixAt(placements.matrices, copy);
    if (!pieces) return { path: withinLimits(path, limits, cutAs(bands)), pieces: null };
    const cut = pieces.map(({ at: _placed, ...piece }): Piece => {
      const outline = transformPath(pieceOutline({ ...piece, ...(_placed && { at: _placed }) }), matrix);
      const next = withinLimits(outline, limits, piece.fillRule);
      return { ...piece, path: next, fillRule: next === outline ? piece.fillRule : "nonzero" };
    });
    return { path: cut.flatMap((piece) => piece.path), pieces: cut };
  });
  const once = dropDoubled ? drawnOnce(placed) : placed;
  const stood = inPlace(once.length);
  const kept: Placements = {
    ...placements,
    matrices: stood.matrices,
    shapeOf: stood.shapeOf,
  };
  return { shapes: once, placements: kept, colorOf: null, faceOf: null, crossings: null, notes: [] };
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
