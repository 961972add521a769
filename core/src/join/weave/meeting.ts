import type { Path } from "../../geometry/path";
import type { Stretch } from "./stretch";
import type { Woven } from "./weave";

/** A place where two bands, or two stretches of one, lie over each other. */
export interface Meeting extends Woven {
  /** The stretches of the two strands over which their bands come within the gap of each other. */
  readonly stretches: readonly [Stretch, Stretch];
  /** How often their middle lines cross there. */
  readonly crossings: number;
  /** What is taken from the first where the second lies over it, and the other way round; null where the stretches tell it. */
  readonly taken: readonly [Path, Path] | null;
}
