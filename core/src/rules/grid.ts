import { string } from "yup";
import { choice, following, number, pair, structure, type FieldValue, type PairValue } from "../design/field";
import type { Limits } from "../design/limits";
import type { Resolver } from "../design/resolver";
import { ALTERNATIONS, type Alternation, type AlternateValue, type LatticeSidesValue } from "../design/structures";
import { exactly, pairOf } from "../design/schemaPieces";
import { ORIGIN } from "../geometry/point";
import { lengthHandle } from "../motif/handles";
import { IDENTITY, invert, multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import { defineRule, type Transforms } from "./definition";
import { PLANE_GROUPS, PLANE_GROUP_SYMBOLS, type CellOperation, type PlaneGroupSymbol } from "./groups/planeGroups";
import { cellForGroup, inCell, LATTICES, layoutOf, type Cell, type Lattice } from "./lattice";
import { packMatrices } from "./pack";

const GROUPS = ["none", ...PLANE_GROUP_SYMBOLS] as const;

interface Alternating {
  readonly columns: Alternation;
  readonly rows: Alternation;
}

interface GridValues {
  readonly lattice: Lattice;
  readonly columns: number;
  readonly rows: number;
  readonly pitch: { readonly x: number; readonly y: number };
  readonly vectors: Cell | null;
  readonly shift: number | undefined;
  readonly alternate: Alternating;
  readonly group: PlaneGroupSymbol | "none";
}

/**
 * Copies in columns and rows, centred on the origin, row after row; or a plane group, the motif standing in
 * the group's asymmetric unit and each cell holding all its images.
 */
export const grid = defineRule<GridValues>({
  kind: "grid",
  fields: {
    lattice: choice(LATTICES, "square"),
    columns: number("count", 5, { max: 10_000 }),
    rows: number("count", 5, { max: 10_000 }),
    pitch: pair("length", { x: 30, y: 30 }, { single: true, min: 0.001 }),
    /** The two sides of a free lattice's cell. */
    vectors: structure<LatticeSidesValue, Cell | null>({
      default: null,
      is: isVectors,
      schema: () =>
        exactly({ a: pairOf(VECTOR), b: pairOf(VECTOR) })
          .default(undefined)
          .optional(),
      resolve: (stored, resolver, path) => ({
        a: resolveVector(stored.a, resolver, `${path}.a`),
        b: resolveVector(stored.b, resolver, `${path}.b`),
      }),
    }),
    /** How far every odd row is moved along it, in shares of a column; the lattice's own unless given. */
    shift: following("factor", { min: -1, max: 1, step: 0.05 }),
    /** Whether every other column or row is mirrored or turned about. */
    alternate: structure<AlternateValue, Alternating>({
      default: { columns: "none", rows: "none" },
      is: isAlternate,
      schema: () =>
        exactly({ columns: string().oneOf(ALTERNATIONS), rows: string().oneOf(ALTERNATIONS) })
          .default(undefined)
          .optional(),
      resolve: ({ columns = "none", rows = "none" }) => ({ columns, rows }),
    }),
    group: choice(GROUPS, "none"),
  },
  copies: ({ columns, rows, group }) => columns * rows * (group === "none" ? 1 : PLANE_GROUPS[group].operations.length),
  handles(values) {
    const { a, b } = cellOf(values);
    if (values.vectors) return [];
    const square = values.lattice === "square" || values.lattice === "hex";
    return [
      lengthHandle(square ? "pitch" : "pitch.x", ORIGIN, 90, a.x),
      ...(square ? [] : [lengthHandle("pitch.y", ORIGIN, 180, values.pitch.y, b.y / values.pitch.y)]),
    ];
  },
  transforms: (values) => (values.group === "none" ? inLattice(values) : inGroup(values, values.group)),
});

const VECTOR: Limits = { min: -10_000, max: 10_000, whole: false };

function cellOf({ lattice, pitch, vectors, shift, group }: GridValues): Cell {
  return group === "none"
    ? layoutOf(lattice, pitch, vectors, shift).cell
    : cellForGroup(PLANE_GROUPS[group].shape, pitch, vectors);
}

function isVectors(stored: FieldValue): stored is FieldValue & LatticeSidesValue {
  return typeof stored === "object" && "a" in stored && "b" in stored;
}

function resolveVector({ x, y }: PairValue, resolver: Resolver, path: string) {
  return { x: resolver.number(x, VECTOR, `${path}.x`), y: resolver.number(y, VECTOR, `${path}.y`) };
}

function isAlternate(stored: FieldValue): stored is FieldValue & AlternateValue {
  return typeof stored === "object" && ("columns" in stored || "rows" in stored);
}

/** How far a column or row stands from the middle one. */
function fromMiddle(index: number, count: number): number {
  return index - (count - 1) / 2;
}

function inLattice({ lattice, columns, rows, pitch, vectors, shift, alternate }: GridValues): Transforms {
  const { cell, oddShift } = layoutOf(lattice, pitch, vectors, shift);
  const matrices = packMatrices(columns * rows, (j) => {
    const [column, row] = [j % columns, Math.floor(j / columns)];
    const across = fromMiddle(column, columns) + (row % 2 === 1 ? oddShift : 0);
    const { x, y } = inCell(cell, across, fromMiddle(row, rows));
    const own = multiply(
      column % 2 === 1 ? alternated(alternate.columns, -1) : IDENTITY,
      row % 2 === 1 ? alternated(alternate.rows, 1) : IDENTITY,
    );
    return multiply(translation(x, y), own);
  });
  return { matrices, ...cellNumbers(columns, rows, 1) };
}

/** Columns flip across an upright line, rows across a level one. */
function alternated(alternation: Alternation, across: 1 | -1): Matrix {
  if (alternation === "turn") return rotation(180);
  return alternation === "flip" ? scaling(across, -across) : IDENTITY;
}

function inGroup({ columns, rows, pitch, vectors }: GridValues, symbol: PlaneGroupSymbol): Transforms {
  const { shape, operations } = PLANE_GROUPS[symbol];
  const cell = cellForGroup(shape, pitch, vectors);
  const images = operations.map((operation) => inSheet(operation, cell));
  const matrices = packMatrices(columns * rows * images.length, (j) => {
    const at = Math.floor(j / images.length);
    const [column, row] = [at % columns, Math.floor(at / columns)];
    const { x, y } = inCell(cell, fromMiddle(column, columns), fromMiddle(row, rows));
    return multiply(translation(x, y), images[j % images.length] ?? IDENTITY);
  });
  return { matrices, ...cellNumbers(columns, rows, images.length) };
}

/** An operation in shares of a cell as a map of the sheet: B · R · B⁻¹, then moved by the shares' length. */
export function inSheet([a, b, c, d, e, f]: CellOperation, cell: Cell): Matrix {
  const basis: Matrix = [cell.a.x, cell.a.y, cell.b.x, cell.b.y, 0, 0];
  const back = invert(basis);
  if (!back) return IDENTITY;
  const { x, y } = inCell(cell, e, f);
  return multiply(translation(x, y), multiply(basis, multiply([a, c, b, d, 0, 0], back)));
}

/** The row and the column each transform stands in. */
function cellNumbers(columns: number, rows: number, images: number): Pick<Transforms, "rows" | "columns"> {
  const count = columns * rows * images;
  const at = (j: number) => Math.floor(j / images);
  return {
    columns: Uint32Array.from({ length: count }, (_, j) => at(j) % columns),
    rows: Uint32Array.from({ length: count }, (_, j) => Math.floor(at(j) / columns)),
  };
}
