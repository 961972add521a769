import type { ResolvedLine } from "../finish/line/lineFields";
import { strokeAreas } from "../finish/line/strokeAreas";
import type { FillRule } from "../geometry/boolean/operation";
import { IDENTITY, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { plainLine, type LineShape } from "../geometry/strip/lineShape";
import { isArea, isLine } from "../join/whole";
import type { Piece, PieceHeight } from "../motif/drawing";
import type { Shape } from "../rules/shape";
import type { ResolvedFinish } from "../finish/finishFields";

/** An area that is given height: where a motif has several, each by itself. */
export interface AreaPiece {
  /** Its outline, in its own space. Millimetres. */
  readonly path: Path;
  /** Which of its outlines bound it. */
  readonly fillRule: FillRule;
  /** Where it stands in the motif. */
  readonly at: Matrix;
  /** A colour of its own, `#RRGGBB`; null where it has the copy's. */
  readonly color: string | null;
  /** How it lies in space within the motif; null where it lies flat. */
  readonly height: PieceHeight | null;
}

/** The areas of an outline as it is painted: what is filled, and of what is only drawn the area its line covers. */
export function areaPieces(shape: Shape, finish: ResolvedFinish): AreaPiece[] {
  if (!shape.pieces) return areasOf(shape.path, "nonzero", finish.fill !== null, finish.line).map(inCopyColor);
  return shape.pieces.flatMap((piece) => piecesOf(piece, finish));
}

type Area = Pick<AreaPiece, "path" | "fillRule">;

const inCopyColor = (area: Area): AreaPiece => ({ ...area, at: IDENTITY, color: null, height: null });

function areasOf(path: Path, fillRule: FillRule, isFilled: boolean, line: ResolvedLine | LineShape | null): Area[] {
  const filled = isFilled ? isArea(path) : [];
  const drawn = isFilled ? isLine(path) : path;
  const lines = line ? strokeAreas(drawn, line, false) : [];
  return [
    ...(filled.length > 0 ? [{ path: filled, fillRule }] : []),
    ...lines.map((stretch): Area => ({ path: stretch.path, fillRule: "nonzero" })),
  ];
}

function piecesOf(piece: Piece, finish: ResolvedFinish): AreaPiece[] {
  const { path, fillRule, fill, line, at = IDENTITY, height = null } = piece;
  const isFilled = fill !== null && (fill !== "finish" || finish.fill !== null);
  const paint = isFilled ? fill : (line?.paint ?? null);
  const drawn = line ? (line.paint === null ? null : plainLine(line)) : finish.line;
  const color = typeof paint === "object" && paint && "own" in paint ? paint.own.slice(0, 7) : null;
  return areasOf(path, fillRule, isFilled, drawn).map((area) => ({ ...area, at, color, height }));
}
