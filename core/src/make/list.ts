import { resolveDesign } from "../design/resolve";
import type { Design } from "../design/design";
import { writeDesign } from "../design/write";
import type { Format } from "./format";
import { makePdf } from "./pdf/pdf";
import { makePng, pixelsOf, tooManyPixels } from "./png";
import { makeSceneJson } from "./sceneJson";
import { tilePng, tileSvg } from "./tileFormats";
import { makeSvg } from "./svg/svg";
import { hasEffectImages, imagesWithin } from "./images/imagesWithin";

/** Every format a design can be made into, in the order they are offered. */
export const FORMATS: readonly Format[] = [
  {
    extension: "svg",
    mediaType: "image/svg+xml",
    needsRasteriser: hasEffectImages,
    tells: imagesWithin,
    make: makeSvg,
  },
  {
    extension: "pdf",
    mediaType: "application/pdf",
    needsRasteriser: hasEffectImages,
    tells: imagesWithin,
    make: makePdf,
  },
  {
    extension: "png",
    mediaType: "image/png",
    needsRasteriser: () => true,
    refuses: (design, { dpi }) => pixelTrouble(design, dpi),
    make: (design, { dpi }) => makePng(design, pixelsOf(resolveDesign(design).sheet.width, dpi)),
  },
  tileSvg,
  tilePng,
  { extension: "petal.json", mediaType: "application/vnd.twin-petal+json", make: writeDesign },
  { extension: "scene.json", mediaType: "application/json", make: makeSceneJson },
];

function pixelTrouble(design: Design, dpi: number): string | null {
  const { width, height } = resolveDesign(design).sheet;
  return tooManyPixels(Math.max(width, height), dpi);
}

/** The format of a file name's or an `as`'s ending, the longest that fits; undefined when there is none. */
export function formatOf(name: string): Format | undefined {
  const fitting = FORMATS.filter(({ extension }) => name === extension || name.endsWith(`.${extension}`));
  return fitting.sort((a, b) => b.extension.length - a.extension.length)[0];
}
