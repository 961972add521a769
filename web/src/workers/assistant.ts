import { boxOfGeometry, countCoinciding, growBox, SceneBuilder, type Design, type PartScene } from "@twin-petal/core";
import { transfer } from "comlink";
import { paintPart, placingOf } from "@/paint/paintPart";
import { fitted } from "@/paint/view";
import type { PartPicture } from "./frame";
import { WEB_HOST } from "./webHost";

/** Does what can wait: it has a thread of its own, so that the picture under the hand never waits for it. */
export class Assistant {
  private readonly builder = new SceneBuilder();

  /** How many copies of a part only repeat another. */
  async countCoinciding(design: Design, id: string): Promise<number> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const part = scene.parts.find((known) => known.id === id);
    return part ? countCoinciding(part.geometry.path, part.geometry.placements) : 0;
  }

  /** Small pictures of every part, so many pixels to a side. */
  async partPictures(design: Design, side: number): Promise<PartPicture[]> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const pictures: PartPicture[] = [];
    for (const part of scene.parts) {
      pictures.push({ id: part.id, bitmap: await pictureOf(part, side) });
    }
    return transfer(
      pictures,
      pictures.map(({ bitmap }) => bitmap),
    );
  }
}

async function pictureOf(part: PartScene, side: number): Promise<ImageBitmap> {
  const canvas = new OffscreenCanvas(side, side);
  const context = canvas.getContext("2d");
  if (!context) throw new Error("the browser gives no canvas to paint on");
  const size = { width: side, height: side };
  if (part.geometry.path.length === 0) return canvas.transferToImageBitmap();
  const box = growBox(boxOfGeometry(part.geometry), (part.finish.line?.width ?? 0) / 2);
  await paintPart(context, part, placingOf(fitted(box, size, side * 0.06), size, 1), () => null);
  return canvas.transferToImageBitmap();
}
