import { isAlongLine, isPictured } from "../finish/paint";
import type { ResolvedLine } from "../finish/line/lineFields";
import { lineAsAreas, needsAreas, piecesOf } from "../finish/line/strokesAsAreas";
import { at } from "../geometry/at";
import { invert, isSimilar, sizeOf, type Matrix } from "../geometry/matrix";
import { sizedLine } from "../geometry/strip/lineShape";
import { sizedPieceLine, type Piece } from "../motif/drawing";
import { matrixAt, type Placements } from "../rules/placements";
import { movedShape, type Shape } from "../rules/shape";

interface Copies {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
}

/** Copies closer in size than this share one line, which no eye tells apart. */
const SAME_SIZE = 1e-6;

/** What of a line that is as wide everywhere makes outlines others; empty for lines that are as large as their copies. */
export function evenLineKey(line: ResolvedLine | null): string {
  if (line?.widths !== "same") return "";
  const { paint, ...shape } = line;
  return JSON.stringify([shape, isAlongLine(paint), isPictured(paint)]);
}

/**
 * Copies whose lines are as wide on each of them, however large it is: an outline of every size has a line as much wider in its
 * own space as the copy is smaller. Lines of skewed copies are areas.
 */
export function evenLines<C extends Copies>(copies: C, line: ResolvedLine | null): C {
  if (line?.widths !== "same") return copies;
  const { placements } = copies;
  const shapes: Shape[] = [];
  const known = new Map<string, number>();
  const shapeOf = Uint32Array.from({ length: placements.count }, (_, copy) => {
    const of = placements.shapeOf?.[copy] ?? 0;
    const linear = linearOf(matrixAt(placements.matrices, copy));
    const key = `${of} ${isSimilar(linear) ? Math.round(sizeOf(linear) / SAME_SIZE) : linear.join()}`;
    const number = known.get(key) ?? shapes.push(withEvenLine(at(copies.shapes, of), linear, line)) - 1;
    known.set(key, number);
    return number;
  });
  return { ...copies, shapes, placements: { ...placements, shapeOf } };
}

const linearOf = ([a, b, c, d]: Matrix): Matrix => [a, b, c, d, 0, 0];

function withEvenLine(shape: Shape, linear: Matrix, line: ResolvedLine): Shape {
  const back = invert(linear);
  if (!back) return shape;
  if (!isSimilar(linear)) {
    const { pieces } = movedShape(lineAsAreas(movedShape(shape, linear), line), back);
    return { path: shape.path, pieces };
  }
  const size = sizeOf(linear);
  if (Math.abs(size - 1) < SAME_SIZE) return shape;
  const own = withOwnLines(shape, 1 / size);
  const sized = sizedLine(line, 1 / size);
  if (needsAreas(line)) return lineAsAreas(own, sized);
  const { width, cap, join, dash } = sized;
  const drawn = { paint: "finish" as const, width, cap, join, dash };
  return { path: own.path, pieces: piecesOf(own).map((piece) => ({ ...piece, line: piece.line ?? drawn })) };
}

/** An outline whose pieces' own lines are so many times as wide. */
function withOwnLines({ path, pieces }: Shape, size: number): Shape {
  const sized = (piece: Piece) => (piece.line ? { ...piece, line: sizedPieceLine(piece.line, size) } : piece);
  return { path, pieces: pieces && pieces.map(sized) };
}
