import { at } from "../geometry/at";
import { spend } from "../geometry/effort";
import { IDENTITY } from "../geometry/matrix";
import { coordinatesOf, type Path } from "../geometry/path";
import { redrawnPiece } from "../motif/drawing";
import type { Reshape } from "./definition";
import { matrixAt, type Placements } from "./placements";
import { movedShape, type Shape } from "./shape";
import { sizesOf, unsized } from "./standing";

/** What an outline of its own takes, for each of its coordinates: time, and the room it needs from then on. */
const SECONDS_A_NUMBER = 0.5e-6;

/** Outlines, and for each copy of a product the number of its own. */
interface ShapedCopies {
  readonly shapes: readonly Shape[];
  readonly shapeOf: Uint32Array;
}

/** The outlines of the product of m transforms with a group, reshaped in the motif's own space: m for each there was. */
export function reshapeMotifs(
  reshape: Reshape,
  copies: number,
  group: Placements,
  shapes: readonly Shape[],
): ShapedCopies {
  const shapeOf = Uint32Array.from({ length: copies * group.count }, (_, copy) => {
    const inner = copy % group.count;
    return Math.floor(copy / group.count) * shapes.length + (group.shapeOf?.[inner] ?? 0);
  });
  const made = Array.from({ length: copies }, (_, j) => shapes.map((shape) => reshaped(shape, reshape, j)));
  return { shapes: made.flat(), shapeOf };
}

/**
 * The outlines of a product reshaped where its copies stand: one for every copy, each in a space as much smaller as its copy
 * is larger.
 */
export function reshapeCopies(
  reshape: Reshape,
  copies: number,
  group: Placements,
  shapes: readonly Shape[],
): ShapedCopies {
  const count = copies * group.count;
  const made = Array.from({ length: count }, (_, copy): Shape => {
    const inner = copy % group.count;
    const shape = shapes[group.shapeOf?.[inner] ?? 0] ?? { path: [], pieces: null };
    return reshaped(placed(shape, group, inner), reshape, Math.floor(copy / group.count));
  });
  const sizes = sizesOf(group);
  const all = Float64Array.from({ length: count }, (_, copy) => at(sizes, copy % group.count));
  return { shapes: unsized(made, all), shapeOf: Uint32Array.from({ length: count }, (_, copy) => copy) };
}

function placed(shape: Shape, group: Placements, copy: number): Shape {
  const matrix = matrixAt(group.matrices, copy);
  return matrix.every((entry, place) => entry === IDENTITY[place]) ? shape : movedShape(shape, matrix);
}

function reshaped({ path, pieces }: Shape, { outline, keepsPieces }: Reshape, j: number): Shape {
  const redrawn = (own: Path) => {
    const made = outline(own, j);
    spend(coordinatesOf(made) * SECONDS_A_NUMBER);
    return made;
  };
  return {
    path: redrawn(path),
    pieces: pieces && keepsPieces ? pieces.map((piece) => redrawnPiece(piece, redrawn)) : null,
  };
}
