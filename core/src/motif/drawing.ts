import type { FillRule } from "../geometry/boolean/operation";
import type { Cap, LineJoin } from "../design/design";
import type { Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";

/**
 * What a piece is painted with: a colour of its own (`#RRGGBB` or `#RRGGBBAA`), the part's finish, the finish's line as
 * an area, the line's colour at a place along it (0…1), or nothing.
 */
export type PiecePaint = { readonly own: string } | { readonly along: number } | "finish" | "line" | null;

export interface PieceLine {
  readonly paint: PiecePaint;
  /** Millimetres in the motif's own size. */
  readonly width: number;
  readonly cap: Cap;
  readonly join: LineJoin;
  readonly dash: readonly number[];
}

/** For pieces that have no line, whatever the finish says. */
export const NO_LINE: PieceLine = { paint: null, width: 0, cap: "round", join: "round", dash: [] };

/** One painted piece of a motif that brings colours of its own. */
export interface Piece {
  readonly path: Path;
  /** Where it stands in the motif; left out where the path says so itself. Its line is drawn in its own space. */
  readonly at?: Matrix;
  readonly fill: PiecePaint;
  readonly fillRule: FillRule;
  /** Null where the part's own line is drawn, if it has one. */
  readonly line: PieceLine | null;
  /** 0…1 */
  readonly opacity: number;
}

/** A motif, drawn in its own space. Millimetres. */
export interface Drawing {
  /** The whole outline. */
  readonly path: Path;
  /** The pieces it is painted in, bottom first; null when the part's finish paints the outline as one. */
  readonly pieces: readonly Piece[] | null;
  /** What the person should know of how it was drawn, in words. */
  readonly told: readonly string[];
}

/** What a motif or a rule may ask of what is around it, all of it as seen from its own space. Millimetres. */
export interface Surroundings {
  /** The outline of another part's source as it stands on the sheet; null when it has none. */
  lineOf: (part: string) => Path | null;
  /** The outlines of all copies of another part. */
  areaOf: (part: string) => Path | null;
  /** Another part whole, with its finish, about its own origin. */
  wholeOf: (part: string) => Drawing | null;
  /** The sheet's edge. */
  sheet: () => Path;
}

export const NO_SURROUNDINGS: Surroundings = {
  lineOf: () => null,
  areaOf: () => null,
  wholeOf: () => null,
  sheet: () => [],
};

/** The outline of a piece where it stands. */
export function pieceOutline({ path, at }: Piece): Path {
  return at ? transformPath(path, at) : path;
}
