import { rasterise } from "../engines/rasteriser";
import type { Box } from "../geometry/box";
import type { Size } from "../geometry/size";
import type { Scene } from "../scene/scene";
import type { FlatFormat } from "./format";
import { seamsOf, withoutSeams } from "../scene/seams/withoutSeams";
import { orWithinFrame } from "./images/withinFrame";
import { withPhysicalSize } from "./physicalSize";
import { withOneOutlines } from "../scene/oneOutline";
import { pictureSeconds } from "./pictureSeconds";
import { svgOfScene } from "./svg/svg";

/** Millimetres an inch. */
export const MILLIMETRES_PER_INCH = 25.4;
/** Resolutions pictures are offered at: for a screen, a proof, a print, a fine print. Dots an inch. */
export const RESOLUTIONS = [96, 150, 300, 600] as const;
/** Pixels a picture may have on its longer side. */
export const MOST_PIXELS = 16_384;
/** Pixels a picture may have altogether. */
const MOST_PIXELS_IN_ALL = 100_000_000;

/** Pixels on the sheet's longer side at a resolution. */
export function pixelsOf(millimetres: number, dpi: number): number {
  return Math.max(1, Math.round((millimetres / MILLIMETRES_PER_INCH) * dpi));
}

/** Why a picture of so many millimetres cannot be made at a resolution; null where it can. */
export function tooManyPixels({ width, height }: Size, dpi: number): string | null {
  const [across, down] = [pixelsOf(width, dpi), pixelsOf(height, dpi)];
  if (Math.max(across, down) > MOST_PIXELS) {
    const offered = resolutionUpTo((MOST_PIXELS / Math.max(across, down)) * dpi);
    return `at ${dpi} dpi the picture would be ${Math.max(across, down)} pixels long; at most ${MOST_PIXELS} can be made: use ${offered} dpi`;
  }
  if (across * down <= MOST_PIXELS_IN_ALL) return null;
  const offered = resolutionUpTo(Math.sqrt(MOST_PIXELS_IN_ALL / (across * down)) * dpi);
  const [many, most] = [across * down, MOST_PIXELS_IN_ALL].map((pixels) => Math.round(pixels / 1e6));
  return `at ${dpi} dpi the picture would have ${many} million pixels; at most ${most} million can be made: use ${offered} dpi`;
}

/** The finest of the offered resolutions that is no finer than told. */
function resolutionUpTo(dpi: number): number {
  return RESOLUTIONS.filter((own) => own <= dpi).at(-1) ?? Math.max(1, Math.floor(dpi));
}

/** The scene as a PNG, `width` pixels across. The rasteriser must have been loaded. */
export function makePng(scene: Scene, width: number): Uint8Array<ArrayBuffer> {
  const [x, y] = [scene.sheet.width / 2, scene.sheet.height / 2];
  return pngOfScene(scene, { left: -x, top: -y, right: x, bottom: y }, width);
}

/** A box of a scene (millimetres) as a PNG, `width` pixels across. */
export function pngOfScene(scene: Scene, frame: Box, width: number): Uint8Array<ArrayBuffer> {
  const [across, down] = [frame.right - frame.left, frame.bottom - frame.top];
  const imageDpi = (width / across) * MILLIMETRES_PER_INCH;
  // Whole pixels each way: a last row half covered would be a seam.
  const pixels = { width, height: Math.max(1, Math.round((width * down) / across)) };
  const painted = withOneOutlines(withoutSeams(scene, seamsOf(scene), across / width));
  const drawn = (shown: Scene) =>
    rasterise(svgOfScene(shown, { title: "", unit: "mm", embed: null, imageDpi, frame, pixels }), width, ({ png }) =>
      png(),
    );
  const picture = orWithinFrame(painted, frame, drawn);
  return withPhysicalSize(picture, (width / across) * 1_000, (pixels.height / down) * 1_000);
}

/** The design as a picture. */
export const png: FlatFormat = {
  extension: "png",
  mediaType: "image/png",
  kind: "picture",
  options: ["dpi", "lineArt"],
  needsRasteriser: () => true,
  refuses: ({ scene: { sheet } }, { dpi }) => tooManyPixels(sheet, dpi),
  seconds: (_, { scene }, { dpi }) => pictureSeconds(scene, pixelsOf(scene.sheet.width, dpi)),
  make: ({ scene }, { dpi }) => makePng(scene, pixelsOf(scene.sheet.width, dpi)),
};
