import type { Quantity } from "../fields/field";
import type { Scene } from "../scene/scene";

/** Something a number can be set for. Adding one is a file with one of these and a line in the list. */
export interface Goal {
  /** Its name. */
  readonly kind: string;
  /** What is asked for: a length in millimetres or a factor; null where nothing is. */
  readonly wanted: Quantity | null;
  /** What is asked for at first. */
  readonly first: number;
  /** How near is met, in the unit of what is asked for; degrees where nothing is. */
  readonly within: number;
  /** Whether areas are combined, for which the geometry engine must have been loaded. */
  readonly needsEngine: boolean;
  /** How far a part of a scene is beyond what is asked for, below 0 short of it; null where that cannot be said. */
  measure: (scene: Scene, part: string, wanted: number) => number | null;
}
