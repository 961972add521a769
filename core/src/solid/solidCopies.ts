import { at as entryAt } from "../geometry/at";
import { invert, type Matrix } from "../geometry/matrix";
import { transformPath } from "../geometry/path";
import { movedPiece } from "../motif/drawing";
import { inPlace } from "../join/inPlace";
import { MATRIX_STRIDE, matrixAt, type Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
import type { PartGeometry } from "../scene/scene";

/** What is given height, in its own space, and where each copy of it stands on the sheet. */
export interface SolidCopies {
  /** Outlines, each once. */
  readonly shapes: readonly Shape[];
  /** Where the copies stand. */
  readonly placements: Placements;
}

/**
 * A part's outlines each in the space it is tilted in. Copies that a join leaves by themselves keep their foot, height
 * and tilt; what a join makes one is tilted about the part's own origin.
 */
export function solidCopies(geometry: PartGeometry): SolidCopies {
  const { shapes, placements, joined, copies } = geometry;
  if (!joined) return { shapes, placements };
  if (placements.spans === copies.placements.spans && placements.count === copies.placements.count) {
    const back = (copy: number) => invert(matrixAt(copies.placements.matrices, copy));
    const own = Array.from({ length: placements.count }, (_, copy) => {
      const shape = entryAt(shapes, placements.shapeOf ? entryAt(placements.shapeOf, copy) : 0);
      return carriedShape(shape, back(copy));
    });
    return { shapes: own, placements: { ...copies.placements, shapeOf: inPlace(own.length).shapeOf } };
  }
  const back = invert(geometry.at);
  return {
    shapes: shapes.map((shape) => carriedShape(shape, back)),
    placements: { ...placements, matrices: everywhere(geometry.at, placements.count) },
  };
}

function carriedShape({ path, pieces }: Shape, by: Matrix | null): Shape {
  if (!by) return { path, pieces };
  return { path: transformPath(path, by), pieces: pieces && pieces.map((piece) => movedPiece(piece, by)) };
}

function everywhere(matrix: Matrix, count: number): Float64Array {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let copy = 0; copy < count; copy++) matrices.set(matrix, copy * MATRIX_STRIDE);
  return matrices;
}
