import { IDENTITY } from "../geometry/matrix";
import { MATRIX_STRIDE, type Placements } from "../rules/placements";

/** Placements that leave outlines where they are. */
export function standing(count: number): Placements {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let copy = 0; copy < count; copy++) matrices.set(IDENTITY, copy * MATRIX_STRIDE);
  return {
    count,
    matrices,
    rise: null,
    zScale: null,
    shapeOf: Uint32Array.from({ length: count }, (_, copy) => copy),
    opacity: null,
    paint: null,
    spans: [],
    slots: null,
  };
}
