import { colorAt, isGradient } from "../finish/paint";
import { multiply, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { pieceOutline, type Drawing, type Piece, type PieceLine, type PiecePaint } from "../motif/drawing";
import { matrixAt } from "../rules/placements";
import { RuleTrouble } from "../rules/ruleTrouble";
import { MOST_SHAPES } from "../design/most";
import type { PartScene } from "./scene";

/**
 * A part as one drawing in which every copy is a piece with the paint it has there. `toOwn` takes the sheet's
 * space to the part's own. Throws a RuleTrouble when there are too many copies to be a motif.
 */
export function wholePart({ geometry, finish, blend }: PartScene, toOwn: Matrix): Drawing {
  const { placements, shapes } = geometry;
  const { fill, line, opacity } = finish;
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
    ...([fill, line?.paint].some((paint) => paint && isGradient(paint))
      ? ["a gradient of a part that is a motif shows its middle colour"]
      : []),
  ];
  return { path, pieces, told };
}

interface CopyPaint {
  readonly fill: PiecePaint;
  readonly line: PieceLine;
  readonly opacity: number;
}

function lineOf(line: PartScene["finish"]["line"], paint: PiecePaint): PieceLine {
  if (!line) return { paint: null, width: 0, cap: "round", join: "round", dash: [] };
  return { paint, width: line.width, cap: line.cap, join: line.join, dash: line.dash };
}

/** A piece of the part's own motif, with what it leaves to the finish filled in. */
function worn(piece: Piece, at: Matrix, own: CopyPaint): Piece {
  return {
    ...piece,
    at: piece.at ? multiply(at, piece.at) : at,
    fill: piece.fill === "finish" ? own.fill : piece.fill,
    line: wornLine(piece.line, own.line),
    opacity: piece.opacity * own.opacity,
  };
}

function wornLine(line: PieceLine | null, own: PieceLine): PieceLine {
  if (!line) return own;
  return line.paint === "finish" ? { ...line, paint: own.paint } : line;
}
