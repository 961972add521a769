import { NO_LINE, type Piece } from "../../motif/drawing";
import type { Shape } from "../../rules/shapes";
import type { ResolvedLine } from "../resolveFinish";
import { dressedLine } from "./dressedLine";

const remembered = new WeakMap<readonly Shape[], { key: string; dressed: readonly Shape[] }>();

/** Whether a line is more than a stroke every picture format can draw by itself. */
export function isDressed(line: ResolvedLine | null): boolean {
  if (!line) return false;
  const { swell, dots, place, paint } = line;
  return swell.length > 0 || dots !== null || place !== "center" || isAlong(line) || paint.kind === "pools";
}

/** Whether some outlines have lines that are areas, painted by filling them. */
export function hasLineAreas(shapes: readonly Shape[]): boolean {
  const isLine = ({ fill }: Piece) => fill === "line" || (typeof fill === "object" && fill !== null && "along" in fill);
  return shapes.some(({ pieces }) => pieces?.some(isLine));
}

/** Whether a line's colour changes along it. */
function isAlong({ paint }: ResolvedLine): boolean {
  return paint.kind === "linear" && paint.over === "line";
}

/**
 * Outlines as they are painted: where the part's line swells, is dotted, lies to one side or changes colour along
 * itself, it becomes areas of their own. Remembered for the outlines, so that a new colour computes nothing.
 */
export function dressLines(shapes: readonly Shape[], line: ResolvedLine | null): readonly Shape[] {
  if (!line || !isDressed(line)) return shapes;
  const { paint: _colors, ...shape } = line;
  const shaded = isAlong(line);
  const key = JSON.stringify([shape, shaded]);
  const known = remembered.get(shapes);
  if (known?.key === key) return known.dressed;
  const areas = (piece: Piece): Piece[] =>
    dressedLine(piece.path, shape, shaded).map(({ path, along }) => ({
      path,
      ...(piece.at && { at: piece.at }),
      fill: along === null || !shaded ? "line" : { along },
      fillRule: "nonzero",
      line: NO_LINE,
      opacity: piece.opacity,
    }));
  const dressed = shapes.map((outline): Shape => {
    const pieces = outline.pieces ?? [
      { path: outline.path, fill: "finish", fillRule: "nonzero", line: null, opacity: 1 },
    ];
    const painted = pieces.flatMap((piece): Piece[] => {
      if (piece.line) return [piece];
      return piece.fill === null ? areas(piece) : [{ ...piece, line: NO_LINE }, ...areas(piece)];
    });
    return { path: outline.path, pieces: painted };
  });
  remembered.set(shapes, { key, dressed });
  return dressed;
}
