import { at as entryAt } from "../geometry/at";
import { invert, multiply, type Matrix } from "../geometry/matrix";
import { inPlace } from "../join/inPlace";
import { MATRIX_STRIDE, matrixAt, type Placements } from "../rules/placements";
import { movedShape, type Shape } from "../rules/shape";
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
  const isEachACopy = placements.spans === copies.placements.spans && placements.count === copies.placements.count;
  const home = isEachACopy ? copies.placements.matrices : everywhere(geometry.at, placements.count);
  const own = Array.from({ length: placements.count }, (_, copy) => {
    const shape = entryAt(shapes, placements.shapeOf ? entryAt(placements.shapeOf, copy) : 0);
    const back = invert(matrixAt(home, copy));
    return back ? movedShape(shape, multiply(back, matrixAt(placements.matrices, copy))) : shape;
  });
  return { shapes: own, placements: { ...placements, matrices: home, shapeOf: inPlace(own.length).shapeOf } };
}

function everywhere(matrix: Matrix, count: number): Float64Array {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let copy = 0; copy < count; copy++) matrices.set(matrix, copy * MATRIX_STRIDE);
  return matrices;
}
