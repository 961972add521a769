import type { NOT_CUT, ResolvedCut } from "../design/cutFields";
import type { NOT_SEWN, ResolvedStitch } from "../thread/stitchFields";
import type { Role } from "../design/partFields";
import type { Problem } from "../formula/problem";
import type { GuideShape } from "../design/guides/definition";
import type { ResolvedMaking } from "../design/makingFields";
import type { ResolvedSheet } from "../design/resolved";
import type { ResolvedSolid } from "../form/solidFields";
import type { Blend, ResolvedFinish } from "../finish/finishFields";
import type { Opening } from "../join/openings";
import type { WovenCrossing } from "../join/weave/weave";
import type { Matrix } from "../geometry/matrix";
import type { Box } from "../geometry/box";
import type { Path } from "../geometry/path";
import type { Period } from "../rules/tile";
import type { PlacedMark } from "../rules/compose";
import type { LinkReport } from "../rules/linkedNumbers";
import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shape";
import type { Wedge } from "./wedge";

/** The shape of one part: its outlines once, and where every copy stands. Kept while neither changes. */
export interface PartGeometry {
  /** The motif's outline, its own place included. Millimetres. */
  readonly path: Path;
  /** What is painted: the copies, or what they are joined into. `placements.shapeOf` says which has which outline. */
  readonly shapes: readonly Shape[];
  /** Where what is painted stands. */
  readonly placements: Placements;
  /** The copies as the rules make them, before any join. */
  readonly copies: { readonly shapes: readonly Shape[]; readonly placements: Placements };
  /** Whether what is painted was computed anew from the copies. */
  readonly joined: boolean;
  /** For joins into faces, what each painted outline is coloured by. */
  readonly colorOf: Int32Array | null;
  /** For joins into faces, the name of each painted outline that is a face. */
  readonly faceOf: readonly (string | null)[] | null;
  /** For weaves, the places where strands cross. */
  readonly crossings: readonly WovenCrossing[] | null;
  /** For joins into faces: where lines end a little before another, so that a face stays open. */
  readonly openings: readonly Opening[];
  /** What the person should know of how it was drawn and repeated, in words. */
  readonly notes: readonly string[];
  /** The motif's own place, which the path has in it. */
  readonly motifAt: Matrix;
  /** Where the whole part is set, last of all. */
  readonly at: Matrix;
  /** The sector one fold owns, in the motif's space. */
  readonly wedge: () => Wedge | null;
  /** What can be seen or pulled on the sheet. */
  readonly marks: () => readonly PlacedMark[];
  /** For each active rule, by its number in the part, its numbers that hang together. */
  readonly links: () => ReadonlyMap<number, readonly LinkReport[]>;
  /** For each active rule that repeats in a rectangle without a seam, that rectangle. */
  readonly tiles: () => ReadonlyMap<number, Period>;
}

/** One part, computed. */
export interface PartScene {
  /** Unique in the design. */
  readonly id: string;
  /** What the designer calls it. */
  readonly name: string;
  /** Whether it is made, only seen, or a tool for others. */
  readonly role: Role;
  /** What it is for whoever follows its group: the group may be a tool as a whole. */
  readonly ownRole: Role;
  /** Whether it is shown and made. */
  readonly visible: boolean;
  /** Its outlines and where its copies stand. */
  readonly geometry: PartGeometry;
  /** How it is painted. */
  readonly finish: ResolvedFinish;
  /** How its colours mix with what lies below, as CSS names it. */
  readonly blend: Blend;
  /** How it is given height; null where it stays flat. */
  readonly solid: ResolvedSolid | null;
  /** How it is cut; null where it is cut through. */
  readonly cut: ResolvedCut | typeof NOT_CUT | null;
  /** How it is sewn; null where its finish says so. */
  readonly stitch: ResolvedStitch | typeof NOT_SEWN | null;
  /** The part as a pattern without end; or why it is none, in words that follow its name. */
  readonly pattern: () => Pattern | string;
}

/** A part that goes on for ever: its period, and as much of it as is wanted. */
export interface Pattern extends Period {
  /** The part laid out so far that nothing of it is missing in a box of the sheet, millimetres. Throws a Incomputable. */
  over: (box: Box) => PartScene;
}

/** A design, computed: plain data from which pictures and files are made. */
export interface Scene {
  /** What it is made on. */
  readonly sheet: ResolvedSheet;
  /** What lies under every part; null where the sheet is bare. */
  readonly ground: PartScene | null;
  /** How it is made. */
  readonly making: ResolvedMaking;
  /** Lines and shapes to go by, which are not made. */
  readonly guides: readonly GuideShape[];
  /** Bottom first. A part whose numbers are wrong shows as it last was, or is missing if it never was right. */
  readonly parts: readonly PartScene[];
  /** The design's named numbers, computed. */
  readonly numbers: ReadonlyMap<string, number>;
  /** What could not be computed, and where. */
  readonly problems: readonly Problem[];
}
