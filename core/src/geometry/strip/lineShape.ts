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

/** How wide lines of copies of other sizes are: as much wider as the copy is larger, or all the same. */
export const LINE_WIDTHS = ["copies", "same"] as const;
/** How wide lines of copies of other sizes are. */
export type LineWidths = (typeof LINE_WIDTHS)[number];

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
  /** Whether widths, dashes and dots are as much larger as a copy is, or the same everywhere. */
  readonly widths: LineWidths;
}

/** A line of one width, neither dotted nor to one side. */
export function plainLine({ width, cap, join, dash }: Pick<LineShape, "width" | "cap" | "join" | "dash">): LineShape {
  return { width, cap, join, dash, dots: null, swell: [], place: "center", widths: "copies" };
}

/** A line so many times as large: widths, dashes and gaps between dots. */
export function sizedLine<L extends LineShape>(line: L, size: number): L {
  return {
    ...line,
    width: line.width * size,
    dash: line.dash.map((length) => length * size),
    dots: line.dots && { gap: line.dots.gap * size },
    swell: line.swell.map(({ at, value }) => ({ at, value: value * size })),
  };
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

/** How far a line covers beyond a smooth outline. */
export function beyondOutline(line: Pick<LineShape, "width" | "swell" | "place">): number {
  const shares: Readonly<Record<LinePlace, number>> = { center: 0.5, inside: 0, outside: 1 };
  return widestOf(line) * shares[line.place];
}
