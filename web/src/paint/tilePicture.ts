import { matrixAt, shapeOfCopy, type PartScene } from "@twin-petal/core";
import { motifPath } from "./motifPath";
import { paintPart, placingOf } from "./paintPart";
import { tileBox } from "./tileBox";
import { fitted } from "./view";

/** What is not painted, such as a line to write along, is drawn in this. */
const UNPAINTED = "#9A6B16";

/** A part's picture on its tile, so many pixels to a side. */
export async function tilePicture(part: PartScene, side: number): Promise<ImageBitmap> {
  const canvas = new OffscreenCanvas(side, side);
  const context = canvas.getContext("2d");
  if (!context) throw new Error("the browser gives no canvas to paint on");
  const { geometry, finish, role } = part;
  if (geometry.shapes.every(({ path }) => path.length === 0)) return canvas.transferToImageBitmap();
  const size = { width: side, height: side };
  const to = placingOf(fitted(tileBox(part), size, side * 0.06), size, 1);
  await paintPart(context, part, to, () => null);
  // Guides and tools are seen by their outlines, whatever they are painted with.
  const isPainted =
    role === "show" && (finish.fill !== null || finish.line !== null || geometry.shapes.some(({ pieces }) => pieces));
  if (!isPainted) {
    context.strokeStyle = UNPAINTED;
    for (let copy = 0; copy < geometry.placements.count; copy++) {
      const [a, b, c, d, e, f] = matrixAt(geometry.placements.matrices, copy);
      context.setTransform(to.scale, 0, 0, to.scale, to.originX, to.originY);
      context.transform(a, b, c, d, e, f);
      context.lineWidth = side / 40 / (to.scale * Math.sqrt(Math.abs(a * d - b * c) || 1));
      context.stroke(motifPath(shapeOfCopy(geometry, copy).path));
    }
  }
  return canvas.transferToImageBitmap();
}
