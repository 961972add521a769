import type { PieceLine } from "@twin-petal/core";

type Context = OffscreenCanvasRenderingContext2D;

/** Sets how lines are drawn, their colour aside. */
export function setLine(context: Context, line: Omit<PieceLine, "paint"> | null): void {
  if (!line) return;
  context.lineWidth = line.width;
  context.lineCap = line.cap;
  context.lineJoin = line.join;
  context.miterLimit = 4;
  context.setLineDash([...line.dash]);
}
