import type { Knot } from "../monotone";

/** How lines end, as SVG names it. */
export const CAPS = ["butt", "round", "square"] as const;
/** How a line ends. */
export type Cap = (typeof CAPS)[number];
/** How lines go around corners, as SVG names it. */
export const LINE_JOINS = ["miter", "round", "bevel"] as const;
/** How a line goes around a corner. */
export type LineJoin = (typeof LINE_JOINS)[number];

/** On which side of a closed outline its line lies. */
export const LINE_PLACES = ["center", "inside", "outside"] as const;
/** Where a line lies beside its outline. */
export type LinePlace = (typeof LINE_PLACES)[number];

/** The shape of a line, whatever its colours. Millimetres in the motif's own size. */
export interface LineShape {
  /** Where it does not swell. */
  readonly width: number;
  /** How it ends. */
  readonly cap: Cap;
  /** How it goes around corners. */
  readonly join: LineJoin;
  /** Drawn and left out in turn. */
  readonly dash: readonly number[];
  /** Dots with so much between their edges, in place of a line. */
  readonly dots: { readonly gap: number } | null;
  /** Widths at shares (0…1) of the line's length, in place of the one width. */
  readonly swell: readonly Knot[];
  /** On which side of a closed outline it lies. */
  readonly place: LinePlace;
}

/** The greatest width a line has. */
export function widestOf({ width, swell }: Pick<LineShape, "width" | "swell">): number {
  return swell.length > 0 ? swell.reduce((most, { value }) => Math.max(most, value), 0) : width;
}

/** How far a line may reach from its outline: its corners' tips go furthest. */
export function reachOfLine(line: Pick<LineShape, "width" | "swell">): number {
  return widestOf(line) * FURTHEST_TIP;
}

/** A corner's tip reaches four halves of the width; one that lies to one side is drawn twice as wide. */
const FURTHEST_TIP = 4;
