import type { FillRule } from "../geometry/boolean/operation";
import type { Cap, LineJoin } from "../design/design";
import type { Path } from "../geometry/path";

/** What a piece is painted with: a colour of its own (`#RRGGBB` or `#RRGGBBAA`), the part's finish, or nothing. */
export type PiecePaint = { readonly own: string } | "finish" | null;

export interface PieceLine {
  readonly paint: PiecePaint;
  /** Millimetres in the motif's own size. */
  readonly width: number;
  readonly cap: Cap;
  readonly join: LineJoin;
  readonly dash: readonly number[];
}

/** One painted piece of a motif that brings colours of its own. */
export interface Piece {
  readonly path: Path;
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

/** What a motif may ask of the other parts while it is drawn. */
export interface Surroundings {
  /** The outline of another part's source as it stands on the sheet, in the asking motif's space; null when it has none. */
  lineOf: (part: string) => Path | null;
}

export const NO_SURROUNDINGS: Surroundings = { lineOf: () => null };
