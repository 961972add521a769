import { choice } from "../fields/choice";
import type { ResolvedOf, StoredOf } from "../fields/field";
import { number } from "../fields/number";
import { record } from "../fields/record";
import { toggle } from "../fields/toggle";
import { OFFSET_CORNERS } from "../geometry/offset/offsetCorners";

/** Outlines beside an outline. */
export const OFFSET = record({
  /** How far the first lies outside, or inside below 0, and each further one from the one before. Millimetres. */
  by: number("length", 2, { min: -1_000, max: 1_000, step: 0.5 }),
  times: number("count", 1, { max: 50 }),
  corners: choice(OFFSET_CORNERS, "round"),
  /** Whether the outline itself stays. */
  keep: toggle(true),
});

/** Outlines beside an outline, as a design holds them. */
export type OffsetValue = StoredOf<typeof OFFSET.fields>;
/** The same with numbers known. */
export type Offset = ResolvedOf<typeof OFFSET.fields>;
/** What they begin as. */
export const OFFSET_DEFAULT: OffsetValue = OFFSET.complete({});
