import type { Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";

/** A vector that carries a rule's copies onto themselves, and how many columns and rows on it goes. Millimetres. */
export interface RepeatSide {
  /** From a cell to the next, millimetres. */
  readonly vector: Point;
  /** Columns gone on by. */
  readonly columns: number;
  /** Rows gone on by. */
  readonly rows: number;
}

/** How a rule that lays copies in columns and rows goes on for ever, in the space of the group it repeats. */
export interface Repeat {
  /** The first side. */
  readonly a: RepeatSide;
  /** Null for a band, which goes on one way only. */
  readonly b: RepeatSide | null;
  /** From a cell to the next column, and to the next row; the latter null for a band. */
  readonly cell: { readonly a: Point; readonly b: Point | null };
  /** Copies in each cell. */
  readonly images: number;
  /** Columns in a row, where copies are counted on from row to row; null where rows differ in length. */
  readonly columns: number | null;
  /** Where one copy stands; columns and rows may be any whole numbers. */
  place: (column: number, row: number, image: number) => Matrix;
  /** The numbers a column and a row have in the rule, which may be below nought beyond it. */
  number: (column: number, row: number) => { readonly column: number; readonly row: number };
}
