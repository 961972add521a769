import type { Matrix } from "../geometry/matrix";
import { MATRIX_STRIDE } from "./placements";

/** Computes one matrix a copy and lays them in a flat array. */
export function packMatrices(count: number, matrixOf: (j: number) => Matrix): Float64Array {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let j = 0; j < count; j++) layMatrix(matrices, j, matrixOf(j));
  return matrices;
}

/** Lays one copy's matrix in a flat array; entry by entry, which is faster than `set` for so few. */
export function layMatrix(matrices: Float64Array, copy: number, [a, b, c, d, e, f]: Matrix): void {
  const at = copy * MATRIX_STRIDE;
  matrices[at] = a;
  matrices[at + 1] = b;
  matrices[at + 2] = c;
  matrices[at + 3] = d;
  matrices[at + 4] = e;
  matrices[at + 5] = f;
}
