import { choice } from "../../fields/choice";
import type { ResolvedOf, StoredOf } from "../../fields/field";
import { number } from "../../fields/number";
import { partName } from "../../fields/partName";
import { record } from "../../fields/record";

const ANYWHERE = { min: -100_000, max: 100_000 };

/**
 * A place that a measure holds on to: a node or the middle of a segment of one copy of a part, counted through its outline;
 * or, without a part, a point of the sheet, millimetres. With a part the point is where it was when it was measured.
 */
export const ANCHOR = record({
  part: partName(""),
  copy: number("count", 0, { min: 0, max: 10_000_000 }),
  place: choice(["node", "middle"], "node"),
  index: number("count", 0, { min: 0, max: 10_000_000 }),
  x: number("length", 0, ANYWHERE),
  y: number("length", 0, ANYWHERE),
});

/** An anchor as a design holds it. */
export type AnchorValue = StoredOf<typeof ANCHOR.fields>;
/** An anchor with its numbers known. */
export type Anchor = ResolvedOf<typeof ANCHOR.fields>;
