import { apply, invert, matrixAt, sizeOf, type PartScene, type Point, type Scene } from "@twin-petal/core";
import { motifPath, reachOf } from "./motifPath";

/** A line is easier to hit than it is thick: this many pixels to either side. */
const NEAR_PIXELS = 4;

/** The topmost part with a copy at a point of the sheet (millimetres); null where there is none. */
export function partAt(scene: Scene, point: Point, scale: number): string | null {
  const context = new OffscreenCanvas(1, 1).getContext("2d");
  if (!context) return null;
  const found = scene.parts.findLast((part) => part.visible && isHit(context, part, point, scale));
  return found?.id ?? null;
}

function isHit(context: OffscreenCanvasRenderingContext2D, part: PartScene, point: Point, scale: number): boolean {
  const { path, placements } = part.geometry;
  const outline = motifPath(path);
  const reach = reachOf(path) + (part.finish.line?.width ?? 0);
  for (let copy = placements.count - 1; copy >= 0; copy--) {
    const matrix = matrixAt(placements.matrices, copy);
    const [a, b, c, d, e, f] = matrix;
    const extent = (Math.abs(a) + Math.abs(b) + Math.abs(c) + Math.abs(d)) * reach + NEAR_PIXELS / scale;
    if (Math.abs(point.x - e) > extent || Math.abs(point.y - f) > extent) continue;
    const back = invert(matrix);
    if (!back) continue;
    const { x, y } = apply(back, point);
    if (part.finish.fill && context.isPointInPath(outline, x, y)) return true;
    context.lineWidth = (part.finish.line?.width ?? 0) + (2 * NEAR_PIXELS) / (scale * sizeOf(matrix));
    if (context.isPointInStroke(outline, x, y)) return true;
  }
  return false;
}
