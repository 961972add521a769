import type { Matrix } from "../geometry/matrix";
import { MATRIX_STRIDE } from "./placements";

/** Computes one matrix a copy and lays them in a flat array. */
export function packMatrices(count: number, matrixOf: (j: number) => Matrix): Float64Array {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let j = 0; j < count; j++) layMatrix(matrices, j, matrixOf(j));
  return matrices;
}

/** Lays one copy's matrix in a flat array; entry by entry, which is faster than `set` for so few. */
export function layMatrix(matrices: Float64Array, copy: number, matrix: Matrix): void {
  const at = copy * MATRIX_STRIDE;
  matrices[at] = matrix[0];
  matrices[at + 1] = matrix[1];
  matrices[at + 2] = matrix[2];
  matrices[at + 3] = matrix[3];
  matrices[at + 4] = matrix[4];
  matrices[at + 5] = matrix[5];
}
