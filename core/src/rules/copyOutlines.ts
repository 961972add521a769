import { at } from "../geometry/at";
import { spend } from "../geometry/effort";
import { determinant } from "../geometry/matrix";
import { coordinatesOf, reversePath, transformPath, type Path } from "../geometry/path";
import { matrixAt, type Placements } from "./placements";
import type { Shape } from "./shape";

/** What an outline that is written out takes for each of its coordinates: time, and room. */
const SECONDS_A_NUMBER = 0.25e-6;

/** Copies and the outlines they have. */
interface Copies {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
}

/** The outlines of all copies where they stand, one a copy. */
export function copyOutlines({ shapes, placements }: Copies): Path[] {
  return Array.from({ length: placements.count }, (_, copy) => {
    const { path } = shapeOfCopy({ shapes, placements }, copy);
    spend(coordinatesOf(path) * SECONDS_A_NUMBER);
    return transformPath(path, matrixAt(placements.matrices, copy));
  });
}

/** The same as one area: mirrored copies are run the other way, or they would undo those they lie over. */
export function areaOfCopies(copies: Copies): Path {
  const { matrices } = copies.placements;
  return copyOutlines(copies).flatMap((path, copy) =>
    determinant(matrixAt(matrices, copy)) < 0 ? reversePath(path) : path,
  );
}

/** The outline a copy has. */
export function shapeOfCopy({ shapes, placements }: Copies, copy: number): Shape {
  return at(shapes, placements.shapeOf === null ? 0 : at(placements.shapeOf, copy));
}
