import type { Point } from "../geometry/point";
import { IDENTITY, invert, multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import type { Alternation } from "../design/structures";
import { PLANE_GROUPS, type CellOperation, type PlaneGroupSymbol } from "./groups/planeGroups";
import { cellForGroup, inCell, layoutOf, type Cell, type Lattice } from "./lattice";

export interface Alternating {
  readonly columns: Alternation;
  readonly rows: Alternation;
}

export interface LayoutValues {
  readonly lattice: Lattice;
  readonly pitch: Point;
  readonly vectors: Cell | null;
  readonly shift: number | undefined;
  readonly alternate: Alternating;
  readonly group: PlaneGroupSymbol | "none";
}

/** A grid without its edges: where the cells are, and what stands in each. */
export interface GridLayout {
  readonly cell: Cell;
  /** The images within one cell, in order. */
  readonly images: number;
  /** Where a cell's origin is. Columns and rows may be halves, where a grid is centred between them. */
  origin: (column: number, row: number, isOddRow: boolean) => Point;
  /** What is done to a copy before it goes to its cell. */
  image: (k: number, isOddColumn: boolean, isOddRow: boolean) => Matrix;
  /** Two vectors that carry the whole grid onto itself. */
  readonly period: Cell;
}

export function gridLayout(values: LayoutValues): GridLayout {
  return values.group === "none" ? latticeLayout(values) : groupLayout(values, values.group);
}

function latticeLayout({ lattice, pitch, vectors, shift, alternate }: LayoutValues): GridLayout {
  const { cell, oddShift } = layoutOf(lattice, pitch, vectors, shift);
  const rowsDiffer = alternate.rows !== "none" || oddShift !== 0;
  const columnsDiffer = alternate.columns !== "none";
  return {
    cell,
    images: 1,
    origin: (column, row, isOddRow) => inCell(cell, column + (isOddRow ? oddShift : 0), row),
    image: (_, isOddColumn, isOddRow) =>
      multiply(
        isOddColumn ? alternated(alternate.columns, -1) : IDENTITY,
        isOddRow ? alternated(alternate.rows, 1) : IDENTITY,
      ),
    period: {
      a: inCell(cell, columnsDiffer ? 2 : 1, 0),
      b: inCell(cell, 0, rowsDiffer ? 2 : 1),
    },
  };
}

/** Columns flip across an upright line, rows across a level one. */
function alternated(alternation: Alternation, across: 1 | -1): Matrix {
  if (alternation === "turn") return rotation(180);
  return alternation === "flip" ? scaling(across, -across) : IDENTITY;
}

function groupLayout({ pitch, vectors }: LayoutValues, symbol: PlaneGroupSymbol): GridLayout {
  const { shape, operations } = PLANE_GROUPS[symbol];
  const cell = cellForGroup(shape, pitch, vectors);
  const images = operations.map((operation) => inSheet(operation, cell));
  return {
    cell,
    images: images.length,
    origin: (column, row) => inCell(cell, column, row),
    image: (k) => images[k] ?? IDENTITY,
    period: isCentred(symbol) ? { a: inCell(cell, 1, 0), b: inCell(cell, 0.5, 0.5) } : cell,
  };
}

function isCentred(symbol: PlaneGroupSymbol): boolean {
  return symbol === "cm" || symbol === "c2mm";
}

/** An operation in shares of a cell as a map of the sheet: B · R · B⁻¹, then moved by the shares' length. */
export function inSheet([a, b, c, d, e, f]: CellOperation, cell: Cell): Matrix {
  const basis: Matrix = [cell.a.x, cell.a.y, cell.b.x, cell.b.y, 0, 0];
  const back = invert(basis);
  if (!back) return IDENTITY;
  const { x, y } = inCell(cell, e, f);
  return multiply(translation(x, y), multiply(basis, multiply([a, c, b, d, 0, 0], back)));
}
