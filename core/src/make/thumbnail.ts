import { encode } from "fast-png";
import type { Design } from "../design/design";
import type { Problem } from "../formula/problem";
import { loadRasteriser } from "../engines/rasteriser";
import { pickCopies } from "../rules/placements";
import { prepareFor } from "../scene/needs";
import type { PartScene, Scene } from "../scene/scene";
import { hasSolids } from "../solid/layout";
import { SolidBuilder } from "../solid/solidBuilder";
import type { MakeHost } from "./makeFile";
import { pictureSeconds } from "./pictureSeconds";
import { makePng } from "./png";
import { subjectOf } from "./subject";

/** A small picture as a PNG, or what kept it from being made. */
export type Thumbnail = { readonly file: Uint8Array<ArrayBuffer> } | { readonly problems: readonly Problem[] };

/** A design's small picture, so many pixels on its longer side: its sheet, or what stands up on it. */
export async function thumbnailOf(design: Design, pixels: number, host: MakeHost): Promise<Thumbnail> {
  await Promise.all([prepareFor(design, host), loadRasteriser(host.rasteriser)]);
  const { scene } = subjectOf(design);
  const { width, height } = scene.sheet;
  const across = Math.max(1, Math.round((pixels * width) / Math.max(width, height)));
  if (!hasSolids(design)) return { file: makePng(thinned(scene, across), across) };
  const down = Math.max(1, Math.round((pixels * height) / Math.max(width, height)));
  const made = await new SolidBuilder(host).picture(design, across, down);
  if ("problem" in made) return { problems: [made.problem] };
  return { file: new Uint8Array(encode({ width: across, height: down, data: onPaper(made.pixels), channels: 4 })) };
}

/** Seconds a small picture may take, on a usual machine. */
const MOST_SECONDS = 2.5;
/** Fewer copies than this are no pattern of many: all of them are seen. */
const FEW = 500;

/** A scene of which a small picture can be made soon: of very many copies it shows every second, third and so on. */
function thinned(scene: Scene, across: number): Scene {
  const every = Math.ceil(pictureSeconds(scene, across) / MOST_SECONDS);
  if (every <= 1) return scene;
  const parts = scene.parts.map((part): PartScene => {
    const { placements } = part.geometry;
    if (placements.count < FEW || part.geometry.joined) return part;
    const shown = Uint32Array.from({ length: Math.ceil(placements.count / every) }, (_, index) => index * every);
    return { ...part, geometry: { ...part.geometry, placements: pickCopies(placements, shown) } };
  });
  return { ...scene, parts };
}

/** What solids are seen before. */
const PAPER = 0xf4;

/** A picture without clear places. */
function onPaper(pixels: Uint8ClampedArray): Uint8ClampedArray {
  return pixels.map((value, index) => {
    const alpha = (pixels[index - (index % 4) + 3] ?? 0) / 255;
    return index % 4 === 3 ? 255 : value * alpha + PAPER * (1 - alpha);
  });
}
