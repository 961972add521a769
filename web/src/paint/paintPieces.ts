import { multiply, type Matrix, type PartScene, type Piece, type PiecePaint } from "@twin-petal/core";
import { motifPath } from "./motifPath";
import { setLine } from "./paintPart";

type Context = OffscreenCanvasRenderingContext2D;

/** Paints one copy of a motif that brings colours of its own; what it leaves to the finish is set by the finish. */
export function paintPieces(
  context: Context,
  pieces: readonly Piece[],
  /** Where the copy stands on the canvas. */
  toCanvas: Matrix,
  part: PartScene,
  opacity: number,
  finishFill: () => void,
  finishStroke: () => void,
): void {
  const { fill, line } = part.finish;
  for (const piece of pieces) {
    const outline = motifPath(piece.path);
    context.globalAlpha = opacity * piece.opacity;
    if (piece.at) context.setTransform(...multiply(toCanvas, piece.at));
    if (choose(context, "fillStyle", piece.fill, fill !== null, finishFill)) context.fill(outline, piece.fillRule);
    const width = piece.line?.width ?? line?.width ?? 0;
    const paint = piece.line ? piece.line.paint : "finish";
    if (width > 0 && choose(context, "strokeStyle", paint, line !== null, finishStroke)) {
      setLine(context, piece.line ?? line);
      context.stroke(outline);
    }
  }
  context.globalAlpha = opacity;
}

function choose(
  context: Context,
  style: "fillStyle" | "strokeStyle",
  paint: PiecePaint,
  hasFinish: boolean,
  setFinish: () => void,
): boolean {
  if (paint === null || (paint === "finish" && !hasFinish)) return false;
  if (paint === "finish") setFinish();
  else context[style] = paint.own;
  return true;
}
