import type { Matrix } from "../geometry/matrix";
import { MATRIX_STRIDE } from "./placements";

/** Computes one matrix a copy and lays them in a flat array. */
export function packMatrices(count: number, matrixOf: (j: number) => Matrix): Float64Array {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let j = 0; j < count; j++) matrices.set(matrixOf(j), j * MATRIX_STRIDE);
  return matrices;
}
