import { boxOfPath, type Path } from "../path";
import { isEmpty, joinBoxes, EMPTY_BOX } from "../box";
import { clip } from "./clip";
import { facetsOf } from "./facets";
import type { FillRule, Operation } from "./operation";
import { recoverCurves } from "./recover";

/** Curves are flattened to within this of themselves while areas are combined, millimetres. */
const TOLERANCE = 0.005;
/** Small outlines are flattened finer: to this share of their extent. */
const SHARE = 1 / 4_000;

/**
 * The first outline combined with all the others, millimetres. Curves stay the curves they were, cut
 * where outlines cross; the result is filled by the nonzero rule. Open runs count as closed by a straight
 * edge. The geometry engine must have been loaded.
 */
export function combine(operands: readonly Path[], operation: Operation, rule: FillRule = "nonzero"): Path {
  const box = operands.map((path) => boxOfPath(path)).reduce(joinBoxes, EMPTY_BOX);
  if (isEmpty(box)) return [];
  const extent = Math.max(box.right - box.left, box.bottom - box.top);
  const facets = facetsOf(operands, Math.min(TOLERANCE, extent * SHARE));
  return recoverCurves(clip(facets, operation, rule), facets);
}
