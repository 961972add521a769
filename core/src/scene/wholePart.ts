import { colorAlong } from "../finish/gradient";
import { hasEffects } from "../finish/effects/effects";
import { dressLines } from "../finish/line/dressLines";
import { colorAt, isGradient, type Paint } from "../finish/paint";
import { multiply, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { NO_LINE, pieceOutline, type Drawing, type Piece, type PieceLine, type PiecePaint } from "../motif/drawing";
import { matrixAt } from "../rules/placements";
import { RuleTrouble } from "../rules/ruleTrouble";
import { MOST_SHAPES } from "../design/most";
import type { PartScene } from "./scene";

/**
 * A part as one drawing in which every copy is a piece with the paint it has there. `toOwn` takes the sheet's
 * space to the part's own. Throws a RuleTrouble when there are too many copies to be a motif.
 */
export function wholePart({ geometry, finish, blend }: PartScene, toOwn: Matrix): Drawing {
  const { placements } = geometry;
  const { fill, line, opacity } = finish;
  const shapes = dressLines(geometry.shapes, line);
  const fillOf = fill && colorAt(fill, placements);
  const strokeOf = line && colorAt(line.paint, placements);
  const pieces: Piece[] = [];
  for (let copy = 0; copy < placements.count; copy++) {
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    if (!shape) continue;
    const at = multiply(toOwn, matrixAt(placements.matrices, copy));
    const own: CopyPaint = {
      fill: fillOf ? { own: fillOf(copy) } : null,
      line: lineOf(line, strokeOf ? { own: strokeOf(copy) } : null),
      along: line && isGradient(line.paint) ? colorAlong(line.paint) : null,
      opacity: opacity * (placements.opacity?.[copy] ?? 1),
    };
    if (!shape.pieces) pieces.push({ path: shape.path, at, fillRule: "nonzero", ...own });
    else pieces.push(...shape.pieces.map((piece) => worn(piece, at, own)));
    if (pieces.length > MOST_SHAPES) {
      throw new RuleTrouble(
        "motif",
        `is a part of more than ${MOST_SHAPES.toLocaleString("en")} pieces; lower its count`,
      );
    }
  }
  const path: Path = pieces.flatMap(pieceOutline);
  const told = [
    ...(blend === "normal" ? [] : ["a part that is a motif keeps its colours, but not how it blends"]),
    ...([fill, line?.paint].some((paint) => paint && isOverArea(paint))
      ? ["a gradient of a part that is a motif shows its middle colour"]
      : []),
    ...(hasEffects(finish.effects) ? ["a part that is a motif leaves its shadows, grain and glow behind"] : []),
  ];
  return { path, pieces, told };
}

function isOverArea(paint: Paint): boolean {
  return paint.kind === "pools" || (isGradient(paint) && paint.over !== "line");
}

interface CopyPaint {
  readonly fill: PiecePaint;
  readonly line: PieceLine;
  /** The line's colour at a place along it, where it changes so. */
  readonly along: ((share: number) => string) | null;
  readonly opacity: number;
}

function lineOf(line: PartScene["finish"]["line"], paint: PiecePaint): PieceLine {
  if (!line) return NO_LINE;
  return { paint, width: line.width, cap: line.cap, join: line.join, dash: line.dash };
}

/** A piece of the part's own motif, with what it leaves to the finish filled in. */
function worn(piece: Piece, at: Matrix, own: CopyPaint): Piece {
  return {
    ...piece,
    at: piece.at ? multiply(at, piece.at) : at,
    fill: wornFill(piece.fill, own),
    line: wornLine(piece.line, own.line),
    opacity: piece.opacity * own.opacity,
  };
}

function wornFill(fill: PiecePaint, own: CopyPaint): PiecePaint {
  if (fill === "finish") return own.fill;
  if (fill === "line") return own.line.paint;
  if (fill && "along" in fill) return own.along ? { own: own.along(fill.along) } : own.line.paint;
  return fill;
}

function wornLine(line: PieceLine | null, own: PieceLine): PieceLine {
  if (!line) return own;
  return line.paint === "finish" ? { ...line, paint: own.paint } : line;
}
