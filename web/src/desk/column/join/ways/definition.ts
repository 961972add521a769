import type { ComponentType } from "react";
import type { Join, JoinMode } from "@twin-petal/core";

/** The words of a way to join. Adding one is a file with one of these and a line in the list. */
export interface JoinLabels {
  readonly kind: JoinMode;
  readonly name: string;
  /** What the copies are then, in a sentence. */
  readonly promise: string;
  /** What it has to say beyond that; null for no more. */
  readonly Panel: ComponentType<{ readonly part: string; readonly join: Join }> | null;
}
