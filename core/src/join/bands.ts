import type { LineShape } from "../geometry/strip/lineShape";

/** What of a finish makes copies bands: filled ones are by themselves, others are as wide as the part's line. */
export interface Bands {
  /** Whether the copies are filled, and so bands by themselves. */
  readonly filled: boolean;
  /** The line outlines are drawn with, without its colours; null for none. */
  readonly line: LineShape | null;
}
