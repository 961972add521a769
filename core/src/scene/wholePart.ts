import { hasEffects } from "../finish/effects/effects";
import { strokesAsAreas } from "../finish/line/strokesAsAreas";
import { changesWithin, colorAlongLine, colorAt, overOf, type Paint } from "../finish/paint";
import { multiply, type Matrix } from "../geometry/matrix";
import { coordinatesOf, type Path } from "../geometry/path";
import { spend } from "../geometry/effort";
import {
  NO_LINE,
  pieceOutline,
  type Drawing,
  type Piece,
  type PieceHeight,
  type PieceOf,
  type PieceLine,
  type PiecePaint,
} from "../motif/drawing";
import { carriedBy, type Carried } from "../rules/carried";
import { matrixAt } from "../rules/placements";
import { Incomputable } from "../formula/incomputable";
import { MOST_SHAPES } from "../fields/most";
import type { PartScene } from "./scene";

/** What an outline that is written out takes for each of its coordinates: time, and room. */
const SECONDS_A_NUMBER = 0.25e-6;

/**
 * A part as one drawing in which every copy is a piece with the paint it has there. `toOwn` takes the sheet's
 * space to the part's own. Throws a Incomputable when there are too many copies to be a motif.
 */
export function wholePart({ id, geometry, finish, blend }: PartScene, toOwn: Matrix): Drawing {
  const { placements } = geometry;
  const { fill, line, opacity } = finish;
  const shapes = strokesAsAreas(geometry.shapes, line);
  const fillOf = fill && colorAt(fill, placements);
  const strokeOf = line && colorAt(line.paint, placements);
  const pieces: Piece[] = [];
  for (let copy = 0; copy < placements.count; copy++) {
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    if (!shape) continue;
    const at = multiply(toOwn, matrixAt(placements.matrices, copy));
    const carried = carriedBy(placements, copy);
    const own: CopyPaint = {
      fill: fillOf ? { own: fillOf(copy) } : null,
      line: lineOf(line, strokeOf ? { own: strokeOf(copy) } : null),
      along: line && changesWithin(line.paint) ? colorAlongLine(line.paint) : null,
      opacity: opacity * carried.opacity,
      height: hasHeights(placements) ? heightOf(carried) : null,
      of: { part: id, copy, at },
    };
    if (!shape.pieces) pieces.push(plainPiece(shape.path, at, own));
    else pieces.push(...shape.pieces.map((piece) => inherited(piece, at, own)));
    if (pieces.length > MOST_SHAPES) {
      throw new Incomputable(
        "motif",
        `is a part of more than ${MOST_SHAPES.toLocaleString("en")} pieces; lower its count`,
      );
    }
  }
  const path: Path = pieces.flatMap((piece) => {
    spend(coordinatesOf(piece.path) * SECONDS_A_NUMBER);
    return pieceOutline(piece);
  });
  const notes = [
    ...(blend === "normal" ? [] : ["a part that is a motif keeps its colours, but not how it blends"]),
    ...([fill, line?.paint].some((paint) => paint && isOverArea(paint))
      ? ["a gradient of a part that is a motif shows its middle colour"]
      : []),
    ...(hasEffects(finish.effects) ? ["a part that is a motif leaves its shadows, grain and glow behind"] : []),
  ];
  return { path, pieces, notes: notes };
}

function isOverArea(paint: Paint): boolean {
  return changesWithin(paint) && overOf(paint) !== "line";
}

interface CopyPaint {
  readonly fill: PiecePaint;
  readonly line: PieceLine;
  /** The line's colour at a place along it, where it changes so. */
  readonly along: ((share: number) => string) | null;
  readonly opacity: number;
  readonly height: PieceHeight | null;
  readonly of: PieceOf;
}

function hasHeights({ rise, zScale, tiltX, tiltY }: Carried): boolean {
  return [rise, zScale, tiltX, tiltY].some((values) => values !== null);
}

function heightOf({ rise, zScale, tiltX, tiltY }: PieceHeight): PieceHeight {
  return { rise, zScale, tiltX, tiltY };
}

function plainPiece(path: Path, at: Matrix, { fill, line, opacity, height, of }: CopyPaint): Piece {
  return { path, at, fillRule: "nonzero", fill, line, opacity, of, ...(height && { height }) };
}

function lineOf(line: PartScene["finish"]["line"], paint: PiecePaint): PieceLine {
  if (!line) return NO_LINE;
  return { paint, width: line.width, cap: line.cap, join: line.join, dash: line.dash };
}

/** A piece of the part's own motif, with what it leaves to the finish filled in. */
function inherited(piece: Piece, at: Matrix, own: CopyPaint): Piece {
  return {
    ...piece,
    at: piece.at ? multiply(at, piece.at) : at,
    fill: inheritedFill(piece.fill, own),
    line: inheritedLine(piece.line, own.line),
    opacity: piece.opacity * own.opacity,
    of: piece.of ? { ...piece.of, at: piece.of.at && multiply(at, piece.of.at) } : own.of,
    ...nestedHeight(piece, own),
  };
}

function nestedHeight({ height: inner }: Piece, { height: outer }: CopyPaint): Pick<Piece, "height"> {
  if (!inner || !outer) return inner ? { height: inner } : outer ? { height: outer } : {};
  return { height: heightWithin(outer, inner) };
}

/** How a piece of a part in a part lies in space: as high as both together. */
export function heightWithin(outer: PieceHeight, inner: PieceHeight): PieceHeight {
  return {
    rise: outer.rise + inner.rise * outer.zScale,
    zScale: outer.zScale * inner.zScale,
    tiltX: outer.tiltX + inner.tiltX,
    tiltY: outer.tiltY + inner.tiltY,
  };
}

function inheritedFill(fill: PiecePaint, own: CopyPaint): PiecePaint {
  if (fill === "finish") return own.fill;
  if (fill === "line") return own.line.paint;
  if (fill && "along" in fill) return own.along ? { own: own.along(fill.along) } : own.line.paint;
  return fill;
}

function inheritedLine(line: PieceLine | null, own: PieceLine): PieceLine {
  if (!line) return own;
  return line.paint === "finish" ? { ...line, paint: own.paint } : line;
}
