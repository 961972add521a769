import { apply, invert, multiply, type Matrix } from "../geometry/matrix";
import { SquareLists } from "../geometry/squareLists";
import { symmetryProbe, type SymmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { carrySameHeight } from "./carried";
import { matrixAt, pickCopies, type Placements } from "./placements";
import type { Shape } from "./shape";

/** Side of the cells copies are sorted into by their centre, millimetres. */
const CELL = TOLERANCE * 16;

/** How many copies only repeat a copy before them, the motif's own symmetry included, within tolerance. */
export function countCoinciding(shapes: readonly Shape[], placements: Placements): number {
  return placements.count - distinctCopies(shapes, placements).length;
}

/** The placements without the copies that only repeat another. */
export function withoutCoinciding(shapes: readonly Shape[], placements: Placements): Placements {
  const kept = distinctCopies(shapes, placements);
  return kept.length === placements.count ? placements : pickCopies(placements, kept);
}

/**
 * The copies that repeat none before them. Copies are sorted by where their centre falls, and compared with
 * those of their cell, and of the next one where their centre is as near to the edge as the tolerance.
 */
function distinctCopies(shapes: readonly Shape[], placements: Placements): Uint32Array {
  const { count, matrices, shapeOf } = placements;
  const probes = new Map<number, SymmetryProbe>();
  const distinct = new SquareLists();
  const kept: number[] = [];
  for (let copy = 0; copy < count; copy++) {
    const shape = shapeOf?.[copy] ?? 0;
    const symmetry = probes.get(shape) ?? symmetryProbe(shapes[shape]?.path ?? [], TOLERANCE);
    probes.set(shape, symmetry);
    const matrix = matrixAt(matrices, copy);
    const { x, y } = apply(matrix, symmetry.centre);
    const isRepeated = (other: number) =>
      (shapeOf?.[other] ?? 0) === shape &&
      carrySameHeight(placements, other, copy, TOLERANCE) &&
      isSameCopy(matrixAt(matrices, other), matrix, symmetry.isSymmetry);
    if (cellsAround(x, y).some(([column, row]) => distinct.some(column, row, isRepeated))) continue;
    kept.push(copy);
    distinct.add(Math.floor(x / CELL), Math.floor(y / CELL), copy);
  }
  return Uint32Array.from(kept);
}

/** The cells within tolerance of a point: one, or up to four beside an edge. */
function cellsAround(x: number, y: number): (readonly [column: number, row: number])[] {
  const [left, right] = [Math.floor((x - TOLERANCE) / CELL), Math.floor((x + TOLERANCE) / CELL)];
  const [top, bottom] = [Math.floor((y - TOLERANCE) / CELL), Math.floor((y + TOLERANCE) / CELL)];
  const columns = left === right ? [left] : [left, right];
  const rows = top === bottom ? [top] : [top, bottom];
  return columns.flatMap((column) => rows.map((row) => [column, row] as const));
}

function isSameCopy(a: Matrix, b: Matrix, isSymmetry: (matrix: Matrix) => boolean): boolean {
  const back = invert(a);
  return back !== null && isSymmetry(multiply(back, b));
}
