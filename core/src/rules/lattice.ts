import { cosDegrees, sinDegrees } from "../geometry/angle";
import type { Point } from "../geometry/point";
import type { CellShape } from "./groups/planeGroups";

/** Lattices a grid may have. */
export const LATTICES = ["square", "rectangle", "brick", "diamond", "hex", "free"] as const;
/** The name of a lattice. */
export type Lattice = (typeof LATTICES)[number];

/** The two sides of a lattice's cell, millimetres. */
export interface Cell {
  /** One side, millimetres. */
  readonly a: Point;
  /** The other side, millimetres. */
  readonly b: Point;
}

/** A lattice laid out in rows: where the copy in a column and a row stands, and the rows' own offset. */
interface Layout {
  readonly cell: Cell;
  /** How far every odd row is moved along it, in shares of a column. */
  readonly oddShift: number;
}

/** Height of a hexagonal row, in shares of the pitch: sin 60°. */
const HEX_ROW = sinDegrees(60);

/** The layout of a lattice. `shift` is the odd rows' own where it is given. */
export function layoutOf(lattice: Lattice, pitch: Point, vectors: Cell | null, shift: number | undefined): Layout {
  const upright = (x: number, y: number): Cell => ({ a: { x, y: 0 }, b: { x: 0, y } });
  switch (lattice) {
    case "square":
      return { cell: upright(pitch.x, pitch.x), oddShift: shift ?? 0 };
    case "rectangle":
      return { cell: upright(pitch.x, pitch.y), oddShift: shift ?? 0 };
    case "brick":
      return { cell: upright(pitch.x, pitch.y), oddShift: shift ?? 0.5 };
    case "diamond":
      return { cell: upright(pitch.x, pitch.y / 2), oddShift: shift ?? 0.5 };
    case "hex":
      return { cell: upright(pitch.x, pitch.x * HEX_ROW), oddShift: shift ?? 0.5 };
    case "free":
      return { cell: vectors ?? upright(pitch.x, pitch.y), oddShift: shift ?? 0 };
  }
}

/** The cell a plane group stands in; where the lattice does not fit the group, the group's own shape holds. */
export function cellForGroup(shape: CellShape, pitch: Point, vectors: Cell | null): Cell {
  switch (shape) {
    case "oblique":
      return vectors ?? { a: { x: pitch.x, y: 0 }, b: { x: 0, y: pitch.y } };
    case "rectangular":
      return { a: { x: pitch.x, y: 0 }, b: { x: 0, y: pitch.y } };
    case "square":
      return { a: { x: pitch.x, y: 0 }, b: { x: 0, y: pitch.x } };
    case "hexagonal":
      return { a: { x: pitch.x, y: 0 }, b: { x: pitch.x * cosDegrees(120), y: pitch.x * sinDegrees(120) } };
  }
}

/** The point so many sides along a cell. */
export function inCell({ a, b }: Cell, u: number, v: number): Point {
  return { x: a.x * u + b.x * v, y: a.y * u + b.y * v };
}
