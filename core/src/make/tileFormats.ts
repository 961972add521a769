import type { Design } from "../design/design";
import type { Format } from "./format";
import { IMAGE_DPI } from "./images/effectImages";
import { hasEffectImages } from "./images/imagesWithin";
import { pixelsOf, pngOfScene, tooManyPixels } from "./png";
import { svgOfScene } from "./svg/svg";
import { tileOfDesign, type Tile } from "./tile";

const NO_TILE =
  "no part of this design repeats in a rectangle: give one a grid, or a border that runs level, as its last rule";

function tileOf(design: Design): Tile {
  const tile = tileOfDesign(design);
  if (!tile) throw new Error(NO_TILE);
  return tile;
}

function tellChanged(design: Design): string | null {
  const leftOut = tileOfDesign(design)?.leftOut ?? [];
  const told = [
    ...(leftOut.length > 0 ? [`left out, as it does not repeat in the tile: ${leftOut.join(", ")}`] : []),
    ...(typeof design.sheet.ground === "object" && design.sheet.ground !== null
      ? ["the ground changes over the sheet; in the tile it has its middle colour"]
      : []),
  ];
  return told.length === 0 ? null : told.join("; ");
}

/** The seamless tile as vectors at real size. */
export const tileSvg: Format = {
  extension: "tile.svg",
  mediaType: "image/svg+xml",
  needsRasteriser: hasEffectImages,
  refuses: (design) => (tileOfDesign(design) ? null : NO_TILE),
  tells: tellChanged,
  make(design) {
    const { scene, frame } = tileOf(design);
    const { name, sheet } = design;
    return svgOfScene(scene, { title: name, unit: sheet.unit, embed: null, imageDpi: IMAGE_DPI, frame });
  },
};

/** The seamless tile as a picture: a whole number of pixels each way, so that it repeats without a seam. */
export const tilePng: Format = {
  extension: "tile.png",
  mediaType: "image/png",
  needsRasteriser: () => true,
  refuses(design, { dpi }) {
    const tile = tileOfDesign(design);
    if (!tile) return NO_TILE;
    const { left, top, right, bottom } = tile.frame;
    return tooManyPixels(Math.max(right - left, bottom - top), dpi);
  },
  tells: tellChanged,
  make(design, { dpi }) {
    const { scene, frame } = tileOf(design);
    return pngOfScene(scene, frame, pixelsOf(frame.right - frame.left, dpi));
  },
};
