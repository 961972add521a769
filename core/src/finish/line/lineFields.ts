import { choice } from "../../fields/choice";
import type { ResolvedOf, StoredOf } from "../../fields/field";
import { given } from "../../fields/given";
import { list } from "../../fields/list";
import { nullable } from "../../fields/nullable";
import { number } from "../../fields/number";
import { record } from "../../fields/record";
import { CAPS, LINE_JOINS, LINE_PLACES, LINE_WIDTHS, type LineShape } from "../../geometry/strip/lineShape";
import { linePaint, type FlatPaint, type VariedPaint } from "../fills/fill";
import type { Paint } from "../paint";

/** How wide a line may be, millimetres. */
export const LINE_WIDTH = number("length", 0, { min: 0, max: 1_000, step: 0.1 });
/** A stretch of a dashed line, or between dots, millimetres. */
export const DASH = number("length", 0, { min: 0, step: 0.5 });
const SWELL = record({ at: given(number("share", 0)), width: given(LINE_WIDTH) });
/** What one place of a swell holds. */
export const SWELL_FIELDS = SWELL.fields;

/** A line around or along an outline. */
export const LINE = record({
  /** Millimetres in the motif's own size, unless the widths are the same everywhere. */
  width: number("length", 0.5, LINE_WIDTH),
  cap: choice(CAPS, "round"),
  join: choice(LINE_JOINS, "round"),
  /** Drawn and left out in turn, millimetres. */
  dash: list(DASH, { most: 20 }),
  /** Dots with so much between their edges, in place of a line. */
  dots: nullable(record({ gap: given(DASH) })),
  /** Widths along the line in place of the one width. */
  swell: list(SWELL, { most: 100 }),
  place: choice(LINE_PLACES, "center"),
  /** Whether widths follow the size of the copies. */
  widths: choice(LINE_WIDTHS, "copies"),
  paint: linePaint("#2B2140"),
});

/** A line as a design holds it. */
export type LineValue = StoredOf<typeof LINE.fields>;
/** A width at a share (0…1) of a line's length, as a design holds it. Millimetres. */
export type SwellValue = StoredOf<typeof SWELL.fields>;

/** A line's shape and what it is painted with. */
export interface ResolvedLine extends LineShape {
  /** What the line is painted with. */
  readonly paint: Paint;
}

/** The line a new one begins as. */
export const LINE_DEFAULT: LineValue = LINE.complete({});

/** A line's numbers as painters take them. */
export function lineOf({
  swell,
  ...line
}: ResolvedOf<typeof LINE.fields> & { paint: FlatPaint | VariedPaint }): ResolvedLine {
  return { ...line, swell: swell.map(({ at, width }) => ({ at, value: width })) };
}
