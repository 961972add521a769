import { NO_LINE, type Piece } from "../../motif/drawing";
import type { Shape } from "../../rules/shape";
import { isAlongLine, isPictured } from "../paint";
import type { ResolvedLine } from "./lineFields";
import { strokeAreas } from "./strokeAreas";

const remembered = new WeakMap<readonly Shape[], { key: string; painted: readonly Shape[] }>();

/** Whether a line is more than a stroke every picture format can draw by itself. */
export function needsAreas(line: ResolvedLine): boolean {
  const { swell, dots, place, paint } = line;
  return swell.length > 0 || dots !== null || place !== "center" || isAlongLine(paint) || isPictured(paint);
}

/** Whether some outlines have lines that are areas, painted by filling them. */
export function hasLineAreas(shapes: readonly Shape[]): boolean {
  const isLine = ({ fill }: Piece) => fill === "line" || (typeof fill === "object" && fill !== null && "along" in fill);
  return shapes.some(({ pieces }) => pieces?.some(isLine));
}

/**
 * Outlines as they are painted: where the part's line swells, is dotted, lies to one side or changes colour along
 * itself, it becomes areas of their own. Remembered for the outlines, so that a new colour computes nothing.
 */
export function strokesAsAreas(shapes: readonly Shape[], line: ResolvedLine | null): readonly Shape[] {
  if (!line || !needsAreas(line)) return shapes;
  const { paint, ...shape } = line;
  const key = JSON.stringify([shape, isAlongLine(paint)]);
  const known = remembered.get(shapes);
  if (known?.key === key) return known.painted;
  const painted = shapes.map((outline) => lineAsAreas(outline, line));
  remembered.set(shapes, { key, painted });
  return painted;
}

/** An outline with the part's line as areas, and its fill as a piece below them. */
export function lineAsAreas(outline: Shape, line: ResolvedLine): Shape {
  const shaded = isAlongLine(line.paint);
  const areas = (piece: Piece): Piece[] =>
    strokeAreas(piece.path, line, shaded).map(({ path, along }) => ({
      path,
      ...(piece.at && { at: piece.at }),
      fill: along === null || !shaded ? "line" : { along },
      fillRule: "nonzero",
      line: NO_LINE,
      opacity: piece.opacity,
    }));
  const own = piecesOf(outline).flatMap((piece): Piece[] => {
    if (piece.line) return [piece];
    return piece.fill === null ? areas(piece) : [{ ...piece, line: NO_LINE }, ...areas(piece)];
  });
  return { path: outline.path, pieces: own };
}

/** What an outline is painted in: its pieces, or the one the part's finish paints. */
export function piecesOf({ path, pieces }: Shape): readonly Piece[] {
  return pieces ?? [{ path, fill: "finish", fillRule: "nonzero", line: null, opacity: 1 }];
}
