import { apply, invert, multiply, type Matrix } from "../geometry/matrix";
import { symmetryProbe, type SymmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { matrixAt, pickCopies, type Placements } from "./placements";
import type { Shape } from "./shapes";
import { addTo } from "../geometry/keyedLists";
import { squareKey } from "../geometry/squareKey";

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
  const distinct = new Map<string | number, Matrix[]>();
  const kept: number[] = [];
  for (let copy = 0; copy < count; copy++) {
    const shape = shapeOf?.[copy] ?? 0;
    const symmetry = probes.get(shape) ?? symmetryProbe(shapes[shape]?.path ?? [], TOLERANCE);
    probes.set(shape, symmetry);
    const matrix = matrixAt(matrices, copy);
    const { x, y } = apply(matrix, symmetry.centre);
    const keyOf = (cell: number) => (shape === 0 ? cell : `${shape}/${cell}`);
    const isRepeat = (cell: number) =>
      distinct.get(keyOf(cell))?.some((other) => isSameCopy(other, matrix, symmetry.isSymmetry)) ?? false;
    if (cellsAround(x, y).some(isRepeat)) continue;
    kept.push(copy);
    addTo(distinct, keyOf(squareKey(Math.floor(x / CELL), Math.floor(y / CELL))), matrix);
  }
  return Uint32Array.from(kept);
}

/** The cells within tolerance of a point: one, or up to four beside an edge. */
function cellsAround(x: number, y: number): number[] {
  const [left, right] = [Math.floor((x - TOLERANCE) / CELL), Math.floor((x + TOLERANCE) / CELL)];
  const [top, bottom] = [Math.floor((y - TOLERANCE) / CELL), Math.floor((y + TOLERANCE) / CELL)];
  if (left === right && top === bottom) return [squareKey(left, top)];
  return [squareKey(left, top), squareKey(right, top), squareKey(left, bottom), squareKey(right, bottom)];
}

function isSameCopy(a: Matrix, b: Matrix, isSymmetry: (matrix: Matrix) => boolean): boolean {
  const back = invert(a);
  return back !== null && isSymmetry(multiply(back, b));
}
