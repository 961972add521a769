import { choice } from "../fields/choice";
import type { ResolvedOf, StoredOf } from "../fields/field";
import { list } from "../fields/list";
import { nullable } from "../fields/nullable";
import { number } from "../fields/number";
import { orWord } from "../fields/orWord";
import { record } from "../fields/record";

/** What is done along a part's outlines: cut through, cut halfway, hatched over its area, or drawn. */
export const CUT_WAYS = ["cut", "score", "engrave", "draw"] as const;
/** What is done along a part's outlines. */
export type CutWay = (typeof CUT_WAYS)[number];

/** The word for a part the blade leaves alone. */
export const NOT_CUT = "none";

const MOST_BY_HAND = 1_000;

const CUT_RECORD = record({
  as: choice(CUT_WAYS, "cut"),
  /** Rows of an engraved area: their direction, and from row to row. */
  hatch: record({
    angle: number("angle", 45),
    spacing: number("length", 0.3, { min: 0.02, max: 100, step: 0.05 }),
  }),
  /** Stretches left uncut: so many on each outline, so wide, and those placed by hand, where they are nearest on the sheet. */
  bridges: record({
    count: number("count", 0, { min: 0, max: 200 }),
    width: number("length", 1, { min: 0.05, max: 100, step: 0.1 }),
    at: list(record({ x: number("length", 0), y: number("length", 0) }), { most: MOST_BY_HAND }),
  }),
});

/** How a part is cut; null where it is cut through, without bridges. */
export const CUT = nullable(orWord(NOT_CUT, CUT_RECORD));

/** What each number of a cut may be, and how it is shown. */
export const CUT_FIELDS = CUT_RECORD.fields;

/** A part's cut as a design holds it. */
export type CutValue = StoredOf<typeof CUT_RECORD.fields>;
/** A part's cut with numbers known. */
export type ResolvedCut = ResolvedOf<typeof CUT_RECORD.fields>;

/** How a part is cut that says nothing of it. */
export const CUT_DEFAULT: CutValue = CUT_RECORD.complete({});
/** The same with numbers known. */
export const RESOLVED_CUT_DEFAULT: ResolvedCut = {
  as: "cut",
  hatch: { angle: 45, spacing: 0.3 },
  bridges: { count: 0, width: 1, at: [] },
};
