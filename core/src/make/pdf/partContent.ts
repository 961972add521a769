import { strokesAsAreas, hasLineAreas } from "../../finish/line/strokesAsAreas";
import { reachOfLine, widestOf } from "../../geometry/strip/lineShape";
import type { VariedPaint } from "../../finish/fills/fill";
import {
  changesWithin,
  colorAlongLine,
  colorAt,
  colorsOfPaint,
  isPictured,
  overOf,
  placePaint,
  type Paint,
} from "../../finish/paint";
import { growBox, type Box } from "../../geometry/box";
import { IDENTITY, invert, multiply, type Matrix } from "../../geometry/matrix";
import { boxOfPath, type Path } from "../../geometry/path";
import type { Piece, PieceLine, PiecePaint } from "../../motif/drawing";
import { shapeOfCopy } from "../../rules/copyOutlines";
import { matrixAt } from "../../rules/placements";
import { wholeBoxOf } from "../../scene/wholeBox";
import type { PartScene } from "../../scene/scene";
import { channelsOf, pdfLine, pdfMatrix, pdfNumbers, pdfPath } from "./operators";
import type { Resources } from "./resources";

/** Lines of pieces that bring their own reach no farther than this beyond the outline, millimetres. */
const PIECES_REACH = 20;

/** What copies are painted with: words that set it and how opaque it is, or an image laid into what is filled. */
type Paintwork =
  | {
      readonly words: string;
      readonly alpha: number;
      /** Sets a mask for colours that let through what is below, and an opacity with it; null where there are none. */
      readonly clearness?: ((opacity: number) => string) | null;
    }
  | { readonly image: string; readonly placed: Matrix };
/** By the copy, where it stands, and the way from the sheet into the space patterns go by. */
type Setter = (copy: number, placed: Matrix, toPatterns: Matrix) => Paintwork;

/**
 * The operators that paint a part. `toPage` takes millimetres on the sheet to the stream's own space: patterns go by
 * that, not by the space they are used in.
 */
export function partContent(part: PartScene, resources: Resources, toPage: Matrix): string {
  const { geometry, finish } = part;
  const { placements } = geometry;
  const shapes = strokesAsAreas(geometry.shapes, finish.line);
  const { fill, line } = finish;
  const areas = hasLineAreas(shapes);
  const fills = fill && setterOf(fill, "fill", part, resources, 0);
  const lines =
    line && widestOf(line) > 0
      ? setterOf(line.paint, areas ? "fill" : "stroke", part, resources, reachOfLine(line))
      : null;
  const words: string[] = [];
  for (let copy = 0; copy < placements.count; copy++) {
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    if (!shape || shape.path.length === 0) continue;
    const matrix = matrixAt(placements.matrices, copy);
    const opacity = finish.opacity * (placements.opacity?.[copy] ?? 1);
    const pieces = shape.pieces ?? [plainPiece(shape.path)];
    // What lies over itself is painted whole, and is as clear as a whole; patterns then go by the copy's own space.
    const isGroup = opacity < 1 && (pieces.length > 1 || (fill !== null && lines !== null));
    const toPatterns = isGroup ? (invert(matrix) ?? IDENTITY) : toPage;
    const paint: CopyPaint = {
      fill: fills?.(copy, matrix, toPatterns) ?? null,
      line: lines?.(copy, matrix, toPatterns) ?? null,
      opacity: isGroup ? 1 : opacity,
    };
    const content = pieces.map((piece) => pieceContent(piece, part, paint, resources)).join("\n");
    const reach = line ? reachOfLine(line) : 0;
    const box = growBox(boxOfPath(shape.path), reach + PIECES_REACH);
    words.push("q", pdfMatrix(matrix), isGroup ? resources.group(content, box, opacity) : content, "Q");
  }
  return words.join("\n");
}

function plainPiece(path: Path): Piece {
  return { path, fill: "finish", fillRule: "nonzero", line: null, opacity: 1 };
}

interface CopyPaint {
  readonly fill: Paintwork | null;
  readonly line: Paintwork | null;
  readonly opacity: number;
}

function pieceContent(piece: Piece, part: PartScene, copy: CopyPaint, resources: Resources): string {
  const opacity = copy.opacity * piece.opacity;
  const line: PieceLine | null = piece.line ?? (part.finish.line && { ...part.finish.line, paint: "finish" });
  const fill = setOf(piece.fill, piece.fill === "finish" ? copy.fill : copy.line, "rg", part);
  const stroke = line && line.width > 0 ? setOf(line.paint, copy.line, "RG", part) : null;
  const path = pdfPath(piece.path);
  const fillWord = piece.fillRule === "evenodd" ? "*" : "";
  const painted = (set: Paintwork, how: string) =>
    "image" in set
      ? [
          resources.opacity(opacity, opacity),
          "q",
          path,
          `W${fillWord} n`,
          pdfMatrix(set.placed),
          `/${set.image} Do`,
          "Q",
        ]
      : set.clearness
        ? // A mask holds until it is taken back: for this paint alone.
          ["q", resources.opacity(1, 1), set.clearness(opacity), set.words, path, how, "Q"]
        : [resources.opacity(set.alpha * opacity, set.alpha * opacity), set.words, path, how];
  return [
    "q",
    ...(piece.at ? [pdfMatrix(piece.at)] : []),
    ...(fill ? painted(fill, `f${fillWord}`) : []),
    ...(stroke && line && !("image" in stroke) ? [pdfLine(line), ...painted(stroke, "S")] : []),
    "Q",
  ].join("\n");
}

function setOf(
  paint: PiecePaint,
  finish: Paintwork | null,
  operator: string,
  { finish: { line } }: PartScene,
): Paintwork | null {
  if (paint === null) return null;
  if (paint === "finish" || paint === "line") return finish;
  if ("own" in paint) return flatSet(paint.own, operator);
  return line && changesWithin(line.paint) ? flatSet(colorAlongLine(line.paint)(paint.along), operator) : null;
}

function flatSet(color: string, operator: string): Paintwork {
  const { rgb, alpha } = channelsOf(color);
  return { words: `${pdfNumbers(rgb)} ${operator}`, alpha };
}

function setterOf(
  paint: Paint,
  property: "fill" | "stroke",
  part: PartScene,
  resources: Resources,
  reach: number,
): Setter {
  const operator = property === "fill" ? "rg" : "RG";
  if (paint.kind === "each") {
    const setters = paint.paints.map((own) => own && setterOf(own, property, part, resources, reach));
    return (copy, placed, toPatterns) => setters[copy]?.(copy, placed, toPatterns) ?? { words: "", alpha: 0 };
  }
  if (!changesWithin(paint)) {
    const colorOf = colorAt(paint, part.geometry.placements);
    return (copy) => flatSet(colorOf(copy), operator);
  }
  return isPictured(paint)
    ? pictureSetter(paint, part, resources, reach)
    : gradientSetter(paint, property, part, resources, reach);
}

/** Gradients as patterns: one for each outline where it stands, or one over the whole. */
function gradientSetter(
  paint: VariedPaint,
  property: "fill" | "stroke",
  { geometry }: PartScene,
  resources: Resources,
  reach: number,
): Setter {
  const isClear = colorsOfPaint(paint).some((color) => channelsOf(color).alpha < 1);
  const [space, set] = property === "fill" ? ["cs", "scn"] : ["CS", "SCN"];
  // A pattern goes by the page, a mask by the copy's own space.
  const use = (over: Box, toPatterns: Matrix, toCopy: Matrix) => {
    const placed = placePaint(paint, over, 0);
    if (placed.kind === "picture") throw new Error("a picture was taken for a gradient");
    const words = `/Pattern ${space} /${resources.gradient(placed, toPatterns)} ${set}`;
    const clearness = (opacity: number) => resources.clearness(placed, toCopy, growBox(over, reach), opacity);
    return { words, alpha: 1, clearness: isClear ? clearness : null };
  };
  if (overOf(paint) === "whole") {
    const whole = wholeBoxOf(paint, geometry);
    return (_copy, placed, toPatterns) => use(whole, toPatterns, invert(placed) ?? IDENTITY);
  }
  return (copy, placed, toPatterns) =>
    use(boxOfPath(shapeOfCopy(geometry, copy).path), multiply(toPatterns, placed), IDENTITY);
}

/** Pictures laid into what they fill: one for each outline, or the whole's carried back into each copy's space. */
function pictureSetter(paint: VariedPaint, { id, geometry }: PartScene, resources: Resources, reach: number): Setter {
  const placedOver = (key: string, over: Box, back: Matrix): Paintwork => {
    const laid = placePaint(paint, over, reach);
    if (laid.kind !== "picture") throw new Error("a gradient was taken for a picture");
    const { left, top, right, bottom } = laid.box;
    const image = resources.image(`${paint.kind} ${id} ${key} ${JSON.stringify(paint)}`, () => laid.raster);
    // An image fills the unit square, its first row uppermost where y grows up.
    return { image, placed: multiply(back, [right - left, 0, 0, top - bottom, left, bottom]) };
  };
  if (overOf(paint) === "copy") {
    return (copy) => {
      const shape = geometry.placements.shapeOf?.[copy] ?? 0;
      return placedOver(String(shape), boxOfPath(shapeOfCopy(geometry, copy).path), IDENTITY);
    };
  }
  const whole = wholeBoxOf(paint, geometry);
  return (_copy, placed) => placedOver("whole", whole, invert(placed) ?? IDENTITY);
}
