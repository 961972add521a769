import { placeGradient } from "../../finish/gradient";
import { colorAt, isGradient, type Paint } from "../../finish/paint";
import type { FillRule } from "../../geometry/boolean/operation";
import { multiply, type Matrix } from "../../geometry/matrix";
import { boxOfPath, type Path } from "../../geometry/path";
import type { Piece, PieceLine, PiecePaint } from "../../motif/drawing";
import { matrixAt } from "../../rules/placements";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
import type { PartScene } from "../../scene/scene";
import { channelsOf, pdfLine, pdfMatrix, pdfNumbers, pdfPath } from "./operators";
import type { Resources } from "./resources";

/** Sets what copies are filled or drawn with, and answers how opaque it is. */
type Setter = (copy: number, placed: Matrix) => { words: string; alpha: number };

/**
 * The operators that paint a part. `toPage` takes millimetres on the sheet to the stream's own space: patterns go by
 * that, not by the space they are used in.
 */
export function partContent(part: PartScene, resources: Resources, toPage: Matrix): string {
  const { geometry, finish } = part;
  const { placements, shapes } = geometry;
  const fills = finish.fill && setterOf(finish.fill, "fill", part, resources, toPage);
  const strokes =
    finish.line && finish.line.width > 0 ? setterOf(finish.line.paint, "stroke", part, resources, toPage) : null;
  const lines: string[] = [];
  for (let copy = 0; copy < placements.count; copy++) {
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    if (!shape || shape.path.length === 0) continue;
    const matrix = matrixAt(placements.matrices, copy);
    const opacity = finish.opacity * (placements.opacity?.[copy] ?? 1);
    const fill = fills?.(copy, matrix) ?? null;
    const stroke = strokes?.(copy, matrix) ?? null;
    const pieces = shape.pieces ?? [plainPiece(shape.path)];
    lines.push("q", pdfMatrix(matrix));
    for (const piece of pieces) lines.push(pieceContent(piece, part, { fill, stroke, opacity }, resources));
    lines.push("Q");
  }
  return lines.join("\n");
}

function plainPiece(path: Path): Piece {
  return { path, fill: "finish", fillRule: "nonzero", line: null, opacity: 1 };
}

interface CopyPaint {
  readonly fill: ReturnType<Setter> | null;
  readonly stroke: ReturnType<Setter> | null;
  readonly opacity: number;
}

function pieceContent(piece: Piece, part: PartScene, copy: CopyPaint, resources: Resources): string {
  const opacity = copy.opacity * piece.opacity;
  const line: PieceLine | null = piece.line ?? (part.finish.line && { ...part.finish.line, paint: "finish" });
  const fill = setOf(piece.fill, copy.fill, "rg");
  const stroke = line && line.width > 0 ? setOf(line.paint, copy.stroke, "RG") : null;
  const path = pdfPath(piece.path);
  const paint = (set: ReturnType<Setter>, words: string) => [
    resources.opacity(set.alpha * opacity, set.alpha * opacity),
    set.words,
    path,
    words,
  ];
  return [
    "q",
    ...(piece.at ? [pdfMatrix(piece.at)] : []),
    ...(fill ? paint(fill, fillWord(piece.fillRule)) : []),
    ...(stroke && line ? [pdfLine(line), ...paint(stroke, "S")] : []),
    "Q",
  ].join("\n");
}

function fillWord(rule: FillRule): string {
  return rule === "evenodd" ? "f*" : "f";
}

function setOf(paint: PiecePaint, finish: ReturnType<Setter> | null, operator: string): ReturnType<Setter> | null {
  if (paint === null) return null;
  return paint === "finish" ? finish : flatSet(paint.own, operator);
}

function flatSet(color: string, operator: string): ReturnType<Setter> {
  const { rgb, alpha } = channelsOf(color);
  return { words: `${pdfNumbers(rgb)} ${operator}`, alpha };
}

function setterOf(
  paint: Paint,
  property: "fill" | "stroke",
  part: PartScene,
  resources: Resources,
  toPage: Matrix,
): Setter {
  const operator = property === "fill" ? "rg" : "RG";
  if (!isGradient(paint)) {
    const colorOf = colorAt(paint, part.geometry.placements);
    return (copy) => flatSet(colorOf(copy), operator);
  }
  const [space, set] = property === "fill" ? ["cs", "scn"] : ["CS", "SCN"];
  const use = (name: string) => ({ words: `/Pattern ${space} /${name} ${set}`, alpha: 1 });
  if (paint.over === "whole") {
    const whole = placeGradient(paint, boxOfGeometry(part.geometry));
    return () => use(resources.gradient(whole, toPage));
  }
  const { shapes, placements } = part.geometry;
  return (copy, placed) => {
    const { path } = shapes[placements.shapeOf?.[copy] ?? 0] ?? { path: [] };
    return use(resources.gradient(placeGradient(paint, boxOfPath(path)), multiply(toPage, placed)));
  };
}
