import type { ReactNode } from "react";

/** Settings of a line's stitches that are numbers. */
export type LineNumberName = "times" | "length" | "width" | "spacing";

/** How a way of sewing a line is told. */
export interface LineStitchLabels {
  /** What it is, after “its outline is”. */
  readonly words: string;
  /** What its numbers are called. */
  readonly labels: Partial<Readonly<Record<LineNumberName, string>>>;
  /** The rest of its sentence, its numbers in it. */
  rest: (number: (of: LineNumberName) => ReactNode) => ReactNode;
}
