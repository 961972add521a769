import type { Box, Design, Matrix, PlacedMark, Problem, ResolvedGuide, ResolvedSheet } from "@twin-petal/core";
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
}

/** What the painter tells about a picture once it is shown. */
export interface FrameReport {
  readonly sheet: ResolvedSheet;
  readonly guides: readonly ResolvedGuide[];
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
  /** Where the source stands. */
  readonly source: Matrix;
  readonly marks: readonly PlacedMark[];
}

/** A small picture of one part, for the parts strip. */
export interface PartPicture {
  readonly id: string;
  readonly bitmap: ImageBitmap;
}
