import { choice } from "../fields/choice";
import type { ResolvedOf, StoredOf } from "../fields/field";
import { list } from "../fields/list";
import { number } from "../fields/number";
import { record } from "../fields/record";
import { text } from "../fields/text";
import { toggle } from "../fields/toggle";

const SIDE = { min: 1, max: 10_000 };
const SMALL = { min: 0.001, max: 100 };

/** The bed, and how finely and of what a printer of solids makes. Lengths in millimetres. */
export const SOLID_MAKING = record({
  frame: record({
    width: number("length", 200, SIDE),
    depth: number("length", 200, SIDE),
    height: number("length", 200, SIDE),
  }),
  /** How far straight pieces may leave the curves they stand for. */
  tolerance: number("length", 0.01, { ...SMALL, step: 0.005 }),
  /** The height of a layer. */
  layer: number("length", 0.2, { ...SMALL, step: 0.05 }),
  walls: number("count", 2, { min: 0, max: 50 }),
  /** The share of the inside that is filled. */
  filling: number("share", 0.2),
  lineWidth: number("length", 0.45, { ...SMALL, step: 0.05 }),
  /** Millimetres a second. */
  speed: number("length", 50, { min: 0.1, max: 10_000 }),
  /** Walls thinner than this are told. */
  thinnest: number("length", 0.8, { ...SMALL, step: 0.1 }),
  /** Faces that lean out further than this from the upright are told, degrees. */
  overhang: number("angle", 45, { min: 0, max: 90 }),
  /** Grams a cubic centimetre. */
  density: number("factor", 1.24, { min: 0.001, max: 30 }),
});

/** What stays when a sheet is cut: the pieces that are cut out, or the sheet they fall out of. */
export const KEPT = ["pieces", "sheet"] as const;

/** The bed of a cutter and how it cuts. Lengths in millimetres, speeds in millimetres a second. */
export const CUT_MAKING = record({
  frame: record({ width: number("length", 600, SIDE), height: number("length", 400, SIDE) }),
  /** How wide the cut is. */
  kerf: number("length", 0.2, { min: 0, max: 20, step: 0.05 }),
  /** How long the arc is by which an outline is entered. */
  leadIn: number("length", 0, { min: 0, max: 100, step: 0.5 }),
  /** How far it is gone on over what is cut already. */
  overcut: number("length", 0, { min: 0, max: 100, step: 0.5 }),
  speed: number("length", 20, { min: 0.1, max: 10_000 }),
  travelSpeed: number("length", 100, { min: 0.1, max: 10_000 }),
  /** How far arcs may leave the curves they stand for. */
  tolerance: number("length", 0.02, { ...SMALL, step: 0.005 }),
  kept: choice(KEPT, "pieces"),
  /** Pieces smaller than this are told. */
  smallest: number("length", 2, { min: 0, max: 1_000, step: 0.5 }),
  /** What holds pieces together is told where it is narrower than this. */
  narrowest: number("length", 1, { min: 0, max: 100, step: 0.1 }),
});

/** The paper and how the sheet lies on it. Lengths in millimetres. */
export const PRINT_MAKING = record({
  paper: record({ width: number("length", 210, SIDE), height: number("length", 297, SIDE) }),
  margin: number("length", 5, { min: 0, max: 500 }),
  /** How far the picture goes on beyond the sheet's edge. */
  bleed: number("length", 0, { min: 0, max: 50 }),
  /** Crop marks at the corners, and marks to join pages by. */
  marks: toggle(false),
  /** How far pages of a large sheet lie over each other. */
  overlap: number("length", 10, { min: 0, max: 200 }),
  scale: number("factor", 1, { min: 0.001, max: 1_000, step: 0.05 }),
  /** Several sheets on a page. */
  columns: number("count", 1, { min: 1, max: 100 }),
  rows: number("count", 1, { min: 1, max: 100 }),
  gap: number("length", 0, { min: 0, max: 500 }),
  /** Whether sheets lie on their sides. */
  turned: toggle(false),
  /** A bar of 100 mm to measure the print by. */
  bar: toggle(false),
  lineArt: toggle(false),
  grey: toggle(false),
});

/** The shapes of hoops. */
export const HOOP_SHAPES = ["rectangle", "oval"] as const;

/** The hoop, and what the machine that sews can. Lengths in millimetres. */
export const STITCH_MAKING = record({
  frame: record({
    width: number("length", 130, SIDE),
    height: number("length", 180, SIDE),
    shape: choice(HOOP_SHAPES, "rectangle"),
  }),
  /** By how much the ornament is made larger about the sheet's middle; stitches stay as long as they are. */
  scale: number("factor", 1, { min: 0.001, max: 1_000, step: 0.05 }),
  /** Stitches a minute. */
  speed: number("count", 700, { min: 1, max: 10_000, step: 50 }),
  /** Longer stitches are split. */
  longest: number("length", 7, { min: 1, max: 100, step: 0.5 }),
  /** Shorter stitches are left out. */
  shortest: number("length", 0.4, { min: 0, max: 5, step: 0.1 }),
  /** What begins nearer than this is gone on to by running stitches. */
  travel: number("length", 3, { min: 0, max: 100, step: 0.5 }),
  /** Jumps longer than this are trimmed. */
  trim: number("length", 6, { min: 0, max: 1_000, step: 0.5 }),
  /** Whether thread is tied at its beginnings and ends. */
  tie: toggle(true),
  /** More needle points on a square millimetre than this are told. */
  densest: number("factor", 12, { min: 0.1, max: 100, step: 0.5 }),
  /** Ids of parts in the order in which they are sewn, where that is set by hand. */
  order: list(text("", 40), { most: 1_000 }),
});

/** How a design is made, each way with settings of its own. */
export const MAKING = record({ print: PRINT_MAKING, cut: CUT_MAKING, stitch: STITCH_MAKING, solid: SOLID_MAKING });

/** How a design is made, as it holds it. */
export type Making = StoredOf<typeof MAKING.fields>;
/** How a design that says nothing of it is made. */
export const MAKING_DEFAULT: Making = MAKING.complete({});
/** The same with numbers known. */
export type ResolvedMaking = ResolvedOf<typeof MAKING.fields>;
