import type { Cap, LineJoin } from "../geometry/strip/lineShape";
import type { FillRule } from "../geometry/boolean/operation";
import { multiply, sizeOf, type Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";

/**
 * What a piece is painted with: a colour of its own (`#RRGGBB` or `#RRGGBBAA`), the part's finish, the finish's line as
 * an area, the line's colour at a place along it (0…1), or nothing.
 */
export type PiecePaint = { readonly own: string } | { readonly along: number } | "finish" | "line" | null;

/** A line of a piece that is its own. */
export interface PieceLine {
  /** What it is painted with; null for nothing. */
  readonly paint: PiecePaint;
  /** Millimetres in the motif's own size. */
  readonly width: number;
  /** How it ends. */
  readonly cap: Cap;
  /** How it goes around corners. */
  readonly join: LineJoin;
  /** Drawn and left out in turn, millimetres. */
  readonly dash: readonly number[];
}

/** For pieces that have no line, whatever the finish says. */
export const NO_LINE: PieceLine = { paint: null, width: 0, cap: "round", join: "round", dash: [] };

/** How a copy lies in space: how high (millimetres), how tall, and how far its tip and its right side rise (degrees). */
export interface PieceHeight {
  /** Millimetres above the bed. */
  readonly rise: number;
  /** What its height is multiplied by. */
  readonly zScale: number;
  /** Degrees by which the tip rises. */
  readonly tiltX: number;
  /** Degrees by which the right side rises. */
  readonly tiltY: number;
}

/** The copy of another part that a piece is, or belongs to. */
export interface PieceOf {
  /** The other part's id. */
  readonly part: string;
  /** The copy's number in it. */
  readonly copy: number;
  /** Where the copy stands in the motif; null where its outline has been changed since. */
  readonly at: Matrix | null;
}

/** One painted piece of a motif that brings colours of its own. */
export interface Piece {
  /** Its outline, in the motif's own space. */
  readonly path: Path;
  /** Where it stands in the motif; left out where the path says so itself. Its line is drawn in its own space. */
  readonly at?: Matrix;
  /** What its area is painted with; null for nothing. */
  readonly fill: PiecePaint;
  /** Which of its outlines bound its area. */
  readonly fillRule: FillRule;
  /** Null where the part's own line is drawn, if it has one. */
  readonly line: PieceLine | null;
  /** 0…1 */
  readonly opacity: number;
  /** Of a copy of another part that is a piece of this one: how it lies in space. */
  readonly height?: PieceHeight;
  /** Of a copy of another part that is a piece of this one: which it is. */
  readonly of?: PieceOf;
}

/** A motif, drawn in its own space. Millimetres. */
export interface Drawing {
  /** The whole outline. */
  readonly path: Path;
  /** The pieces it is painted in, bottom first; null when the part's finish paints the outline as one. */
  readonly pieces: readonly Piece[] | null;
  /** What the person should know of how it was drawn, in words. */
  readonly notes: readonly string[];
}

/** Where another part that is a motif stands: its own origin in the motif's, or as it stands on the sheet. */
export const PART_STANDS = ["own", "sheet"] as const;
/** Where another part that is a motif stands. */
export type PartStands = (typeof PART_STANDS)[number];

/** What a motif or a rule may ask of what is around it, all of it as seen from its own space. Millimetres. */
export interface Surroundings {
  /** The outline of another part's source as it stands on the sheet; null when it has none. */
  lineOf: (part: string) => Path | null;
  /** The outlines of all copies of another part. */
  areaOf: (part: string) => Path | null;
  /** What all copies of another part paint, lines included: areas by the nonzero rule. */
  paintedOf: (part: string) => readonly Path[];
  /** Another part whole, with its finish, about its own origin or where it stands on the sheet. */
  wholeOf: (part: string, stands: PartStands) => Drawing | null;
  /** The sheet's edge. */
  sheet: () => Path;
}

/** For motifs that stand by themselves. */
export const NO_SURROUNDINGS: Surroundings = {
  lineOf: () => null,
  areaOf: () => null,
  paintedOf: () => [],
  wholeOf: () => null,
  sheet: () => [],
};

/** The outline of a piece where it stands. */
export function pieceOutline({ path, at }: Piece): Path {
  return at ? transformPath(path, at) : path;
}

/** A piece carried by a map: its line grows with it. */
export function movedPiece(piece: Piece, by: Matrix): Piece {
  const { of } = piece;
  const carried = of?.at ? { of: { ...of, at: multiply(by, of.at) } } : {};
  if (piece.at) return { ...piece, ...carried, at: multiply(by, piece.at) };
  return {
    ...piece,
    ...carried,
    path: transformPath(piece.path, by),
    line: piece.line && sizedPieceLine(piece.line, sizeOf(by)),
  };
}

/** A piece with another outline in the place of the one it has where it stands. */
export function redrawnPiece(piece: Piece, redraw: (outline: Path) => Path): Piece {
  const { at, ...rest } = piece;
  const outline = pieceOutline(piece);
  const next = redraw(outline);
  if (next === outline) return piece;
  const changed = rest.of ? { of: { ...rest.of, at: null } } : {};
  return {
    ...rest,
    ...changed,
    path: next,
    line: at && piece.line ? sizedPieceLine(piece.line, sizeOf(at)) : piece.line,
  };
}

/** A piece's own line so many times as large. */
export function sizedPieceLine(line: PieceLine, size: number): PieceLine {
  return { ...line, width: line.width * size, dash: line.dash.map((length) => length * size) };
}
