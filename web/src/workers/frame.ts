import type {
  Box,
  Design,
  LinkReport,
  Opening,
  Matrix,
  Period,
  PlacedDimension,
  PlacedMark,
  Problem,
  GuideShape,
  ResolvedSheet,
  StandsBy,
  Wedge,
  WovenCrossing,
} from "@twin-petal/core";
import type { DeskColors } from "@/paint/paintScene";
import type { Size, View } from "@/paint/view";

/** One picture asked of the painter. */
export interface Frame {
  readonly design: Design;
  readonly view: View;
  readonly size: Size;
  /** Device pixels a CSS pixel. */
  readonly density: number;
  readonly colors: DeskColors;
  /** The part whose shape and marks are told back. */
  readonly chosen: string | null;
  /** The copy of the chosen part that is worked on. */
  readonly copy: number;
  /** How many copies of the chosen part are shown; null for all. */
  readonly built: number | null;
  /** Only the sources, or only lines. */
  readonly held: "source" | "lines" | null;
  /** As it is sewn, in place of its flat colours. */
  readonly thread: boolean;
}

/** What the painter tells about a picture once it is shown. */
export interface FrameReport {
  readonly sheet: ResolvedSheet;
  readonly guides: readonly GuideShape[];
  /** The measures left lying, where they are now. */
  readonly dimensions: readonly PlacedDimension[];
  readonly problems: readonly Problem[];
  /** For each part its number of copies. */
  readonly copies: ReadonlyMap<string, number>;
  readonly chosen: ChosenReport | null;
}

/** The chosen part, for outlining its source and placing its handles. */
export interface ChosenReport {
  readonly id: string;
  /** The motif's outline as SVG path data, millimetres. */
  readonly outline: string;
  readonly motifBox: Box;
  /** The box of all copies on the sheet, where the fill lies over the whole; it is known then anyway. */
  readonly wholeBox: Box | null;
  /** Where the source stands. */
  readonly source: Matrix;
  /** From the motif's own space, its place included, to the copy that is worked on. */
  readonly working: Matrix;
  /** Copies that stand near the source, from the source's space: for showing what is around the motif. */
  readonly neighbours: readonly Matrix[];
  readonly wedge: Wedge | null;
  /** For each active rule, by its number in the part, its numbers that hang together. */
  readonly links: ReadonlyMap<number, readonly LinkReport[]>;
  /** For each active rule that repeats in a rectangle or a band without a seam, its size. */
  readonly tiles: ReadonlyMap<number, Period>;
  /** What the person should know of how the motif was drawn. */
  readonly notes: readonly string[];
  readonly motifAt: Matrix;
  /** By what of its outline the motif stands when it stands by its own origin. */
  readonly ownStand: StandsBy;
  readonly marks: readonly PlacedMark[];
  /** The places where the strands of a weave cross. */
  readonly crossings: readonly WovenCrossing[];
  /** The places where lines end so little before another that a face stays open there. */
  readonly openings: readonly Opening[];
  /** For each active rule its number in the part and how often it repeats. */
  readonly rounds: readonly { readonly rule: number; readonly copies: number }[];
}

/** A copy found under the pointer. */
export interface FoundCopy {
  readonly part: string;
  readonly copy: number;
  /** Where the copy stands: from the motif with its place to the sheet. */
  readonly matrix: Matrix;
}

/** A face found under the pointer. Outlines are SVG path data on the sheet, millimetres. */
export interface FoundFace {
  readonly name: string;
  /** What its colour goes by, and how many such there are. */
  readonly color: number;
  readonly colors: number;
  readonly outline: string;
  /** All faces that are coloured with it. */
  readonly alike: string;
}

/** A small picture of one part, for the parts strip. */
export interface PartPicture {
  readonly id: string;
  readonly bitmap: ImageBitmap;
}

/** A small picture of the whole sheet; or why there is none. */
export interface SheetPicture {
  readonly bitmap: ImageBitmap | null;
  readonly trouble: string | null;
}
