import { apply, invert, multiply, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { symmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { matrixAt, type Placements } from "./placements";

/** Cells of the search for copies in the same place; wide enough that rounding cannot part two of them twice. */
const CELL = TOLERANCE * 4;

/**
 * How many copies only repeat a copy before them, the motif's own symmetry included, within
 * tolerance. Copies are sorted by where their centre falls, and compared with those of their cell
 * and the cells around it.
 */
export function countCoinciding(path: Path, placements: Placements): number {
  const symmetry = symmetryProbe(path, TOLERANCE);
  const distinct = new Map<string, Matrix[]>();
  let coinciding = 0;
  for (let copy = 0; copy < placements.count; copy++) {
    const matrix = matrixAt(placements.matrices, copy);
    const centre = apply(matrix, symmetry.centre);
    const column = Math.round(centre.x / CELL);
    const row = Math.round(centre.y / CELL);
    const repeats = [-1, 0, 1].some((dx) =>
      [-1, 0, 1].some((dy) =>
        distinct.get(`${column + dx},${row + dy}`)?.some((other) => isSameCopy(other, matrix, symmetry.isSymmetry)),
      ),
    );
    if (repeats) coinciding += 1;
    else distinct.set(`${column},${row}`, [...(distinct.get(`${column},${row}`) ?? []), matrix]);
  }
  return coinciding;
}

function isSameCopy(a: Matrix, b: Matrix, isSymmetry: (matrix: Matrix) => boolean): boolean {
  const back = invert(a);
  return back !== null && isSymmetry(multiply(back, b));
}
