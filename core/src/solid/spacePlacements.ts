import type { ResolvedSolid } from "../form/solidFields";
import { invert, type Matrix } from "../geometry/matrix";
import { multiplySpace, spaceOfPlane, SPACE_STRIDE, tilted, type SpaceMatrix } from "../geometry/space";
import { carriedBy } from "../rules/carried";
import { matrixAt, type Placements } from "../rules/placements";

/**
 * Where every copy of a solid stands: tilted about its foot, placed by the rules, then the whole part stood up about
 * its own origin. Twelve numbers a copy. `at` is the part's own place, which the placements have in them.
 */
export function spacePlacements(
  placements: Placements,
  { tilt, stand }: Pick<ResolvedSolid, "tilt" | "stand">,
  at: Matrix,
): Float64Array {
  const stood = standing(tilted(stand), at);
  const flat = new Float64Array(placements.count * SPACE_STRIDE);
  for (let copy = 0; copy < placements.count; copy++) {
    const { rise, zScale, tiltX, tiltY } = carriedBy(placements, copy);
    const foot = tilted({ x: tilt.x + tiltX, y: tilt.y + tiltY, z: tilt.z });
    const placed = spaceOfPlane(matrixAt(placements.matrices, copy), rise, zScale);
    flat.set(multiplySpace(stood, multiplySpace(placed, foot)), copy * SPACE_STRIDE);
  }
  return flat;
}

/** Stood up in the part's own space, before it is set in its place. */
function standing(stand: SpaceMatrix, at: Matrix): SpaceMatrix {
  const back = invert(at);
  if (!back) return stand;
  return multiplySpace(spaceOfPlane(at, 0, 1), multiplySpace(stand, spaceOfPlane(back, 0, 1)));
}

/** Every placement moved up by a length. Millimetres. */
export function lifted(flat: Float64Array, by: number): Float64Array {
  if (by === 0) return flat;
  return flat.map((value, index) => (index % SPACE_STRIDE === SPACE_STRIDE - 1 ? value + by : value));
}
