import { at } from "../geometry/at";
import { scaling, sizeOf } from "../geometry/matrix";
import { MATRIX_STRIDE, matrixAt, type Placements } from "./placements";
import { movedShape, type Shape } from "./shape";

/** Copies smaller than this are nothing: their lines are as wide as those of the source. */
const NOTHING = 1e-9;
/** Turned copies are as large as the source to this; what they come to is not computed again. */
const AS_LARGE = 1e-9;

/** How many times as large as the motif every copy is; 1 for those shrunk to nothing. */
export function sizesOf({ count, matrices }: Pick<Placements, "count" | "matrices">): Float64Array {
  return Float64Array.from({ length: count }, (_, copy) => {
    const size = sizeOf(matrixAt(matrices, copy));
    return size > NOTHING && Math.abs(size - 1) > AS_LARGE ? size : 1;
  });
}

/** Maps that do nothing but size. */
export function sizingMatrices(sizes: Float64Array): Float64Array {
  const matrices = new Float64Array(sizes.length * MATRIX_STRIDE);
  sizes.forEach((size, copy) => matrices.set(scaling(size), copy * MATRIX_STRIDE));
  return matrices;
}

/**
 * Outlines that stand where they are, one for each copy, as they are before they are sized: placed by `sizingMatrices` they
 * are where they were, and their lines as much wider as their copies are larger.
 */
export function unsized(shapes: readonly Shape[], sizes: Float64Array): Shape[] {
  return shapes.map((shape, copy) => {
    const size = at(sizes, copy);
    return size === 1 ? shape : movedShape(shape, scaling(1 / size));
  });
}
