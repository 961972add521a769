import type { StandsBy } from "../design/partFields";
import { invert } from "../geometry/matrix";
import { boxOfPath, transformPath } from "../geometry/path";
import type { PartGeometry } from "./scene";

/** A motif stands by its foot or its middle where it does to this share of its size. */
const NEAR = 1e-3;

/** By what of its outline a motif stands when it stands by its own origin; "own" where that is neither foot nor middle. */
export function ownStand(geometry: Pick<PartGeometry, "path" | "motifAt">): StandsBy {
  const known = remembered.get(geometry);
  if (known !== undefined) return known;
  const found = standOf(geometry);
  remembered.set(geometry, found);
  return found;
}

/** It is asked with every picture. */
const remembered = new WeakMap<object, StandsBy>();

function standOf({ path, motifAt }: Pick<PartGeometry, "path" | "motifAt">): StandsBy {
  const back = invert(motifAt);
  if (!back || path.length === 0) return "own";
  const { left, right, top, bottom } = boxOfPath(transformPath(path, back));
  const near = NEAR * Math.max(right - left, bottom - top);
  if (Math.abs(left + right) / 2 > near) return "own";
  if (Math.abs(bottom) <= near) return "foot";
  return Math.abs(top + bottom) / 2 <= near ? "middle" : "own";
}
