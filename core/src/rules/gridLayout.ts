import type { Point } from "../geometry/point";
import { IDENTITY, invert, multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import { PLANE_GROUPS, type CellOperation, type PlaneGroupSymbol } from "./groups/planeGroups";
import { cellForGroup, inCell, layoutOf, type Cell, type Lattice } from "./lattice";

/** What may be done to every other column or row. */
export const ALTERNATIONS = ["none", "flip", "turn"] as const;
/** What is done to every other column or row. */
export type Alternation = (typeof ALTERNATIONS)[number];

/** What is done to every other column, and to every other row. */
export interface Alternating {
  /** What every second column does. */
  readonly columns: Alternation;
  /** What every second row does. */
  readonly rows: Alternation;
}

/** What a grid is laid out by. */
export interface LayoutValues {
  /** The form of the cells. */
  readonly lattice: Lattice;
  /** Distances along x and y, millimetres. */
  readonly pitch: Point;
  /** The sides of a free cell, millimetres. */
  readonly vectors: Cell | null;
  /** How far every second row stands off; undefined for the lattice's own. */
  readonly shift: number | undefined;
  /** What every second column and row does. */
  readonly alternate: Alternating;
  /** The plane group's symbol. */
  readonly group: PlaneGroupSymbol | "none";
}

/** A grid without its edges: where the cells are, and what stands in each. */
export interface GridLayout {
  /** What is repeated. */
  readonly cell: Cell;
  /** The images within one cell, in order. */
  readonly images: number;
  /** Where a cell's origin is. Columns and rows may be halves, where a grid is centred between them. */
  origin: (column: number, row: number, isOddRow: boolean) => Point;
  /** What is done to a copy before it goes to its cell. */
  image: (k: number, isOddColumn: boolean, isOddRow: boolean) => Matrix;
  /** Two vectors that carry the whole grid onto itself. */
  readonly period: Cell;
  /** Columns and rows after which it is the same again. */
  readonly every: { readonly columns: number; readonly rows: number };
}

/** A grid without its edges, of a lattice or of a plane group. */
export function gridLayout(values: LayoutValues): GridLayout {
  return values.group === "none" ? latticeLayout(values) : groupLayout(values, values.group);
}

function latticeLayout({ lattice, pitch, vectors, shift, alternate }: LayoutValues): GridLayout {
  const { cell, oddShift } = layoutOf(lattice, pitch, vectors, shift);
  const rowsDiffer = alternate.rows !== "none" || oddShift !== 0;
  const every = { columns: alternate.columns === "none" ? 1 : 2, rows: rowsDiffer ? 2 : 1 };
  return {
    cell,
    images: 1,
    origin: (column, row, isOddRow) => inCell(cell, column + (isOddRow ? oddShift : 0), row),
    image: (_, isOddColumn, isOddRow) =>
      multiply(
        isOddColumn ? alternated(alternate.columns, -1) : IDENTITY,
        isOddRow ? alternated(alternate.rows, 1) : IDENTITY,
      ),
    period: { a: inCell(cell, every.columns, 0), b: inCell(cell, 0, every.rows) },
    every,
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
    every: { columns: 1, rows: 1 },
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
