import { apply, invert, multiply, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { symmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { matrixAt, type Placements } from "./placements";

/** Side of the cells copies are sorted into by their centre, millimetres. */
const CELL = TOLERANCE * 16;

/**
 * How many copies only repeat a copy before them, the motif's own symmetry included, within
 * tolerance. Copies are sorted by where their centre falls, and compared with those of their cell,
 * and of the next one where their centre is as near to the edge as the tolerance.
 */
export function countCoinciding(path: Path, placements: Placements): number {
  if (path.length === 0) return 0;
  const symmetry = symmetryProbe(path, TOLERANCE);
  const distinct = new Map<number, Matrix[]>();
  let coinciding = 0;
  for (let copy = 0; copy < placements.count; copy++) {
    const matrix = matrixAt(placements.matrices, copy);
    const { x, y } = apply(matrix, symmetry.centre);
    const isRepeat = (cell: number) =>
      distinct.get(cell)?.some((other) => isSameCopy(other, matrix, symmetry.isSymmetry)) ?? false;
    if (cellsAround(x, y).some(isRepeat)) {
      coinciding += 1;
      continue;
    }
    const cell = cellKey(Math.floor(x / CELL), Math.floor(y / CELL));
    const others = distinct.get(cell);
    if (others) others.push(matrix);
    else distinct.set(cell, [matrix]);
  }
  return coinciding;
}

/** The cells within tolerance of a point: one, or up to four beside an edge. */
function cellsAround(x: number, y: number): number[] {
  const [left, right] = [Math.floor((x - TOLERANCE) / CELL), Math.floor((x + TOLERANCE) / CELL)];
  const [top, bottom] = [Math.floor((y - TOLERANCE) / CELL), Math.floor((y + TOLERANCE) / CELL)];
  if (left === right && top === bottom) return [cellKey(left, top)];
  return [cellKey(left, top), cellKey(right, top), cellKey(left, bottom), cellKey(right, bottom)];
}

/** One number for a cell; exact while both coordinates stay within ±2²⁵ cells. */
function cellKey(column: number, row: number): number {
  return column * 2 ** 26 + row;
}

function isSameCopy(a: Matrix, b: Matrix, isSymmetry: (matrix: Matrix) => boolean): boolean {
  const back = invert(a);
  return back !== null && isSymmetry(multiply(back, b));
}
