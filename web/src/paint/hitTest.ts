import { apply, invert, matrixAt, sizeOf, widestOf, type PartScene, type Point, type Scene } from "@twin-petal/core";
import type { FoundCopy } from "@/workers/frame";
import { motifPath, reachOf } from "./motifPath";

/** A line is easier to hit than it is thick: this many pixels to either side. */
const NEAR_PIXELS = 4;

/** The topmost copy at a point of the sheet (millimetres), of one part or of any; null where there is none. */
export function copyAt(scene: Scene, point: Point, scale: number, only?: string): FoundCopy | null {
  const context = new OffscreenCanvas(1, 1).getContext("2d");
  if (!context) return null;
  for (const part of scene.parts.toReversed()) {
    if (!part.visible || (only !== undefined && part.id !== only)) continue;
    const copy = hitCopy(context, part, point, scale);
    if (copy === null) continue;
    return { part: part.id, copy, matrix: matrixAt(part.geometry.placements.matrices, copy) };
  }
  return null;
}

function hitCopy(
  context: OffscreenCanvasRenderingContext2D,
  part: PartScene,
  point: Point,
  scale: number,
): number | null {
  const { shapes, placements } = part.geometry.copies;
  const width = part.finish.line ? widestOf(part.finish.line) : 0;
  const isEven = part.finish.line?.widths === "same";
  const outlines = shapes.map(({ path }) => ({ outline: motifPath(path), reach: reachOf(path) + width }));
  for (let copy = placements.count - 1; copy >= 0; copy--) {
    const shape = placements.shapeOf?.[copy] ?? 0;
    const { outline, reach } = outlines[shape] ?? { outline: new Path2D(), reach: 0 };
    const matrix = matrixAt(placements.matrices, copy);
    const [a, b, c, d, e, f] = matrix;
    const extent = (Math.abs(a) + Math.abs(b) + Math.abs(c) + Math.abs(d)) * reach + NEAR_PIXELS / scale;
    if (Math.abs(point.x - e) > extent || Math.abs(point.y - f) > extent) continue;
    const back = invert(matrix);
    if (!back) continue;
    const { x, y } = apply(back, point);
    if ((part.finish.fill || shapes[shape]?.pieces) && context.isPointInPath(outline, x, y)) return copy;
    context.lineWidth = width * (isEven ? 1 / sizeOf(matrix) : 1) + (2 * NEAR_PIXELS) / (scale * sizeOf(matrix));
    if (context.isPointInStroke(outline, x, y)) return copy;
  }
  return null;
}
