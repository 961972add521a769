import type { Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";
import type { PreparedMotif } from "./definition";
import type { Surroundings } from "./drawing";

/** A motif inside another, or cut from one, with the map that sets it there. */
export interface PlacedMotif {
  /** Ready to be computed. */
  readonly motif: PreparedMotif;
  /** Where it stands. */
  readonly at: Matrix;
}

/** The outline of a motif where it is set. Millimetres. */
export function placedOutline({ motif, at }: PlacedMotif, surroundings: Surroundings): Path {
  return transformPath(motif.draw(surroundings).path, at);
}
