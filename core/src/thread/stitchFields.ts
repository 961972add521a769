import { choice } from "../fields/choice";
import { color } from "../fields/color";
import type { ResolvedOf, StoredOf } from "../fields/field";
import { nullable } from "../fields/nullable";
import { number } from "../fields/number";
import { optional } from "../fields/optional";
import { orWord } from "../fields/orWord";
import { record } from "../fields/record";
import { LINE_PLACES } from "../geometry/strip/lineShape";

/** How thread follows a line: point after point, or to and fro across a band. */
export const LINE_STITCHES = ["running", "satin"] as const;
/** How thread follows a line. */
export type LineStitchKind = (typeof LINE_STITCHES)[number];

/** What is sewn below first. */
export const UNDERLAYS = ["none", "edge", "zigzag", "rows"] as const;
/** What is sewn below first. */
export type UnderlayKind = (typeof UNDERLAYS)[number];

/** In which order copies are sewn: as the rules make them, or by a short way. */
export const SEWING_ORDERS = ["rules", "nearest"] as const;

/** The word for a part that is not sewn. */
export const NOT_SEWN = "none";

const SPACING = { min: 0.1, max: 20, step: 0.05 };
const STITCH = { min: 0.3, max: 20, step: 0.1 };

const LINE_STITCH = record({
  kind: choice(LINE_STITCHES, "running"),
  /** How often a running line is gone over: once, there and back, or each stitch three times. */
  times: number("count", 1, { min: 1, max: 3 }),
  /** From needle point to needle point of a running line. */
  length: number("length", 2.5, STITCH),
  /** How wide a band of satin is. */
  width: number("length", 3, { min: 0.3, max: 100, step: 0.1 }),
  /** From needle point to needle point along the outer side of satin. */
  spacing: number("length", 0.4, SPACING),
  /** Where a band of satin lies beside a closed outline. */
  place: choice(LINE_PLACES, "center"),
});

const FILL_STITCH = record({
  /** The direction of rows, as the motif has it: rows turn with their copy. */
  angle: number("angle", 0),
  /** From row to row. */
  spacing: number("length", 0.4, SPACING),
  /** From needle point to needle point along a row. */
  length: number("length", 4, STITCH),
  /** By which share of a stitch needle points move from row to row. */
  shift: number("share", 0.333),
  /** Rows bowed as waves, so long and so high. */
  wave: record({
    length: number("length", 12, { min: 0.5, max: 1_000 }),
    height: number("length", 0, { min: 0, max: 100, step: 0.5 }),
  }),
  /** How far rows keep from the outline. */
  inset: number("length", 0, { min: 0, max: 100, step: 0.1 }),
});

const STITCH_RECORD = record({
  /** How the outline is sewn; null where it is not. */
  line: nullable(LINE_STITCH),
  /** How the area is sewn; null where it is not. */
  fill: nullable(FILL_STITCH),
  underlay: choice(UNDERLAYS, "none"),
  /** By how much stitches go beyond the edge on both sides, against the cloth's drawing in. */
  pull: number("length", 0, { min: 0, max: 5, step: 0.1 }),
  /** The colour of the thread; the finish's where it is left out. */
  thread: optional(color()),
  order: choice(SEWING_ORDERS, "rules"),
});

/** How a part is sewn; null where its finish says so. */
export const STITCHING = nullable(orWord(NOT_SEWN, STITCH_RECORD));

/** What each number of a part's stitches may be, and how it is shown. */
export const STITCH_FIELDS = {
  ...STITCH_RECORD.fields,
  line: LINE_STITCH.fields,
  fill: FILL_STITCH.fields,
};

/** A part's stitches as a design holds them. */
export type StitchValue = StoredOf<typeof STITCH_RECORD.fields>;
/** A part's stitches with numbers known. Millimetres. */
export type ResolvedStitch = ResolvedOf<typeof STITCH_RECORD.fields>;
/** How a line is sewn, as a design holds it. */
export type LineStitchValue = StoredOf<typeof LINE_STITCH.fields>;
/** How a line is sewn. */
export type LineStitch = ResolvedOf<typeof LINE_STITCH.fields>;
/** How an area is sewn, as a design holds it. */
export type FillStitchValue = StoredOf<typeof FILL_STITCH.fields>;
/** How an area is sewn. */
export type FillStitch = ResolvedOf<typeof FILL_STITCH.fields>;

/** A line's stitches where nothing is said of them. */
export const LINE_STITCH_DEFAULT: LineStitchValue = LINE_STITCH.complete({});
/** An area's stitches where nothing is said of them. */
export const FILL_STITCH_DEFAULT: FillStitchValue = FILL_STITCH.complete({});
/** Stitches of which nothing is said: nothing is sewn. */
export const STITCH_DEFAULT: StitchValue = STITCH_RECORD.complete({});
