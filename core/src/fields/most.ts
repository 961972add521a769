/** Copies one part may have; checked before any is computed. */
export const MOST_COPIES = 200_000;
/** Copies all parts of a design may have together; checked before any is computed. */
export const MOST_COPIES_IN_ALL = 400_000;
/** Seconds the shapes of a design may take, on a usual machine: worked out from numbers before they are computed. */
export const MOST_SECONDS = 10;
/** Sides, dots and dashes of all copies of a design. */
export const MOST_DRAWN = 10_000_000;
/** Seconds a file may take, on a usual machine: worked out from what there is to draw. */
export const MOST_MAKING_SECONDS = 20;
/** Rules one part may have. */
export const MOST_RULES = 64;
/** Parts, named numbers, palette colours and guides one design may have. */
export const MOST_PARTS = 500;
/** Groups of parts a design may have. */
export const MOST_GROUPS = 500;
/** Named numbers one design may have. */
export const MOST_NUMBERS = 500;
/** Palette colours one design may have. */
export const MOST_COLORS = 500;
/** Guides one design may have. */
export const MOST_GUIDES = 500;
/** Characters a name may have, and notes. */
export const LONGEST_NAME = 120;
/** Characters a design's notes may have. */
export const LONGEST_NOTES = 20_000;
/** Runs one drawn motif may have, and nodes in a run. */
export const MOST_RUNS = 2_000;
/** Nodes one run of a drawn motif may have. */
export const MOST_NODES = 20_000;
/** Motifs cut from one motif, or combined in one. */
export const MOST_NESTED = 200;
/** How deep motifs may be nested in each other, and repeats in a walk. */
export const DEEPEST_NESTING = 16;
/** Steps a walk may write down, and take. */
export const MOST_STEPS = 1_000;
/** Steps a walk may take, its repeats unfolded. */
export const MOST_TAKEN_STEPS = 100_000;
/** Freehand strokes, and points in one. */
export const MOST_STROKES = 2_000;
/** Points one freehand stroke may have. */
export const MOST_STROKE_POINTS = 20_000;
/** Characters of lettering. */
export const LONGEST_TEXT = 2_000;
/** Shapes of an imported picture. */
export const MOST_SHAPES = 20_000;
/** Parts that cut one part. */
export const MOST_JOINED = 50;
/** Copies whose faces are found, and copies that are united. */
export const MOST_FACED = 1_500;
/** Copies that are united. */
export const MOST_UNITED = 20_000;
/** Colours one fill blends. */
export const MOST_POOLS = 50;
/** Copies that are interlaced. */
export const MOST_WOVEN = 600;
/** Faces and crossings changed by hand. */
export const MOST_BY_HAND = 2_000;
