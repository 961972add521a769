import { IDENTITY } from "../geometry/matrix";
import { NOTHING_CARRIED } from "../rules/carried";
import { MATRIX_STRIDE, pickCopies, type Placements } from "../rules/placements";

/** Placements that leave outlines where they are. */
export function inPlace(count: number): Placements {
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let copy = 0; copy < count; copy++) matrices.set(IDENTITY, copy * MATRIX_STRIDE);
  return {
    count,
    matrices,
    shapeOf: Uint32Array.from({ length: count }, (_, copy) => copy),
    ...NOTHING_CARRIED,
    spans: [],
    slots: null,
  };
}

/** Outlines that stand where they are, each of which was one of some copies: they carry on what that copy carried. */
export function inPlaceOf(placements: Placements, copies: Uint32Array): Placements {
  const { matrices, shapeOf } = inPlace(copies.length);
  return { ...pickCopies(placements, copies), matrices, shapeOf };
}
