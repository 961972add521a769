import { MOST_NODES, MOST_RUNS, MOST_SHAPES } from "../fields/most";
import type { Motif } from "../fields/stored";
import { changesWithin, overOf, type Paint } from "../finish/paint";
import { strokeAreas } from "../finish/line/strokeAreas";
import { strokesAsAreas } from "../finish/line/strokesAsAreas";
import { isEmpty } from "../geometry/box";
import { IDENTITY, isSimilar, type Matrix, sizeOf, translation } from "../geometry/matrix";
import { plainLine } from "../geometry/strip/lineShape";
import { boxOfPath, transformPath, type Path } from "../geometry/path";
import { pathData } from "../geometry/pathData";
import { drawnOfPath } from "../motif/drawn/drawnPath";
import { toDrawnValues } from "../motif/drawn/nodes";
import { pieceOutline, type Piece } from "../motif/drawing";
import type { SvgShapeValue } from "../motif/svg/source";
import { areaOfCopies } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import { Incomputable } from "../formula/incomputable";
import { copiesOverlap, isOneOutline } from "./oneOutline";
import type { PartScene } from "./scene";
import { wholePart } from "./wholePart";

/** Copies made plain. */
export interface Baked {
  /** What stands in place of motif and rules. */
  readonly motif: Motif;
  /** Whether the motif has the opacity of the part's finish in it, which the finish must then leave out. */
  readonly hasOpacity: boolean;
  /** What cannot be kept as it was, in words. */
  readonly notes: readonly string[];
}

/**
 * A part's copies, joined as they are, as one motif that needs no rules and looks the same: drawn outlines where one
 * finish paints them all as well as each by itself, else a picture with colours of its own. On the sheet, millimetres.
 * Throws a Incomputable when it would be too large.
 */
export function bakedCopies(part: PartScene): Baked {
  if (isOneOutline(part)) return { motif: drawnCopies(part), hasOpacity: false, notes: [] };
  // Copies that lie apart are as clear together as each by itself.
  const { placements } = part.geometry;
  if (placements.opacity === null && (placements.count <= 1 || !copiesOverlap(part))) {
    const solid = { ...part, finish: { ...part.finish, opacity: 1 } };
    return { motif: picturedCopies(solid), hasOpacity: false, notes: notesOf(solid) };
  }
  return { motif: picturedCopies(part), hasOpacity: true, notes: notesOf(part) };
}

function drawnCopies({ geometry }: PartScene): Motif {
  const paths = drawnOfPath(areaOfCopies(geometry));
  const nodes = paths.reduce((most, run) => Math.max(most, run.nodes.length), 0);
  if (paths.length > MOST_RUNS || nodes > MOST_NODES) throw tooLarge(paths.length, MOST_RUNS);
  return { kind: "drawn", paths: toDrawnValues(paths) };
}

function picturedCopies(part: PartScene): Motif {
  const { pieces, path } = wholePart(part, IDENTITY);
  const box = boxOfPath(path);
  if (!pieces || isEmpty(box)) return { kind: "drawn", paths: [] };
  if (pieces.length > MOST_SHAPES) throw tooLarge(pieces.length, MOST_SHAPES);
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const back = translation(-middle.x, -middle.y);
  return {
    kind: "svg",
    source: {
      width: Math.max(0.001, box.right - box.left),
      height: Math.max(0.001, box.bottom - box.top),
      shapes: pieces.flatMap((piece) => shapesOf(piece, back)),
    },
    at: middle,
  };
}

/** A piece as a shape of a picture; its line by itself where it is not as wide all around. */
function shapesOf(piece: Piece, back: Matrix): SvgShapeValue[] {
  const { fill, fillRule, line, opacity, at = IDENTITY } = piece;
  const stroke = line && line.width > 0 ? colorOf(line.paint) : null;
  const shared = opacity < 1 ? { opacity } : {};
  const outline = pathData(transformPath(pieceOutline(piece), back));
  const filled = { d: outline, fill: colorOf(fill), ...(fillRule === "evenodd" && { rule: fillRule }), ...shared };
  if (!line || stroke === null) return [filled];
  const { cap, join } = line;
  if (isSimilar(at)) {
    const size = sizeOf(at);
    const dash = line.dash.map((length) => length * size);
    return [{ ...filled, line: { color: stroke, width: line.width * size, cap, join, dash } }];
  }
  const area: Path = strokeAreas(piece.path, plainLine(line), false).flatMap(({ path }) => path);
  return [filled, { d: pathData(transformPath(transformPath(area, at), back)), fill: stroke, ...shared }];
}

function colorOf(paint: Piece["fill"]): string | null {
  return typeof paint === "object" && paint && "own" in paint ? paint.own : null;
}

/** What a picture of copies cannot keep. */
function notesOf(part: PartScene): string[] {
  const { fill, line, opacity } = part.finish;
  const { placements, shapes } = part.geometry;
  const isLost = (paint: Paint | null | undefined) => changesWithin(paint) && overOf(paint) !== "line";
  const isClear = opacity < 1 || placements.opacity !== null;
  const piecesEach = Math.max(1, ...strokesAsAreas(shapes, line).map(({ pieces }) => pieces?.length ?? 1));
  const isSkewed = line !== null && !isScaled(part.geometry);
  return [
    ...([fill, line?.paint].some(isLost) ? ["baked copies show the middle colour of a gradient"] : []),
    ...(isClear && (piecesEach > 1 || (isSkewed && fill !== null))
      ? ["baked copies that are clear show their fill through their line"]
      : []),
  ];
}

/** Whether every copy's line is as wide all around. */
function isScaled({ placements: { count, matrices } }: PartScene["geometry"]): boolean {
  return Array.from({ length: count }, (_, copy) => matrixAt(matrices, copy)).every(isSimilar);
}

function tooLarge(count: number, most: number): Incomputable {
  const notes = `would be ${count.toLocaleString("en")} outlines; at most ${most.toLocaleString("en")} can be baked: lower a count`;
  return new Incomputable("rules", notes);
}
