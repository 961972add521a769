import {
  changesWithin,
  colorAlongLine,
  multiply,
  type Matrix,
  type PartScene,
  type Piece,
  type PiecePaint,
} from "@twin-petal/core";
import { motifPath } from "./motifPath";
import { setLine } from "./lineStyle";

type Context = OffscreenCanvasRenderingContext2D;

/** Sets what the part's finish paints one copy with. */
interface FinishPaints {
  fill: () => void;
  stroke: () => void;
  /** The line's paint, for lines that are areas. */
  fillWithLine: () => void;
}

/** Paints one copy of a motif that brings colours of its own; what it leaves to the finish is set by the finish. */
export function paintPieces(
  context: Context,
  pieces: readonly Piece[],
  /** Where the copy stands on the canvas. */
  toCanvas: Matrix,
  part: PartScene,
  opacity: number,
  finish: FinishPaints,
): void {
  const { fill, line } = part.finish;
  const alongOf = line && changesWithin(line.paint) ? colorAlongLine(line.paint) : null;
  const choose = (style: "fillStyle" | "strokeStyle", paint: PiecePaint): boolean => {
    if (paint === null) return false;
    if (paint === "finish") {
      if (style === "fillStyle") finish.fill();
      else finish.stroke();
      return (style === "fillStyle" ? fill : line) !== null;
    }
    if (paint === "line") finish.fillWithLine();
    else context[style] = "own" in paint ? paint.own : (alongOf?.(paint.along) ?? "#000000");
    return true;
  };
  for (const piece of pieces) {
    const outline = motifPath(piece.path);
    context.globalAlpha = opacity * piece.opacity;
    if (piece.at) context.setTransform(...multiply(toCanvas, piece.at));
    if (choose("fillStyle", piece.fill)) context.fill(outline, piece.fillRule);
    const width = piece.line?.width ?? line?.width ?? 0;
    if (width > 0 && choose("strokeStyle", piece.line ? piece.line.paint : "finish")) {
      setLine(context, piece.line ?? line);
      context.stroke(outline);
    }
  }
  context.globalAlpha = opacity;
}
