import { boxOfGeometry, countCoinciding, growBox, SceneBuilder, valuesOfVary, type Design, type PartScene } from "@twin-petal/core";
import { transfer } from "comlink";
import { paintPart, placingOf } from "@/paint/paintPart";
import { fitted } from "@/paint/view";
import type { PartPicture } from "./frame";
import { prepareInBrowser, WEB_HOST } from "./webHost";

/** Does what can wait: it has a thread of its own, so that the picture under the hand never waits for it. */
export class Assistant {
  private readonly builder = new SceneBuilder();

  /** How many copies of a part only repeat another. */
  async countCoinciding(design: Design, id: string): Promise<number> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const part = scene.parts.find((known) => known.id === id);
    return part ? countCoinciding(part.geometry.shapes, part.geometry.placements) : 0;
  }

  /** A formula's values from the first copy to the last, thinned out to so many; null when it has none. */
  async variedValues(
    design: Design,
    part: string,
    rule: number,
    field: string,
    most: number,
  ): Promise<readonly number[] | null> {
    await prepareInBrowser(design);
    const values = valuesOfVary(design, part, rule, field);
    if (!values) return null;
    const step = Math.max(1, (values.length - 1) / (most - 1));
    return Array.from({ length: Math.min(most, values.length) }, (_, k) => values[Math.round(k * step)] ?? 0);
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
  if (part.geometry.shapes.every(({ path }) => path.length === 0)) return canvas.transferToImageBitmap();
  const box = growBox(boxOfGeometry(part.geometry), (part.finish.line?.width ?? 0) / 2);
  await paintPart(context, part, placingOf(fitted(box, size, side * 0.06), size, 1), () => null);
  return canvas.transferToImageBitmap();
}
