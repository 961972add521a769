import { rasterise } from "../engines/rasteriser";
import type { Box } from "../geometry/box";
import type { Scene } from "../scene/scene";
import type { FlatFormat } from "./format";
import { seamsOf, withoutSeams } from "../scene/seams/withoutSeams";
import { withPhysicalSize } from "./physicalSize";
import { svgOfScene } from "./svg/svg";

/** Millimetres an inch. */
export const MILLIMETRES_PER_INCH = 25.4;
/** Resolutions pictures are offered at: for a screen, a proof, a print, a fine print. Dots an inch. */
export const RESOLUTIONS = [96, 150, 300, 600] as const;
/** Pixels a picture may have on its longer side. */
export const MOST_PIXELS = 16_384;

/** Pixels on the sheet's longer side at a resolution. */
export function pixelsOf(millimetres: number, dpi: number): number {
  return Math.max(1, Math.round((millimetres / MILLIMETRES_PER_INCH) * dpi));
}

/** Why a picture of so many millimetres cannot be made at a resolution; null where it can. */
export function tooManyPixels(millimetres: number, dpi: number): string | null {
  const pixels = pixelsOf(millimetres, dpi);
  if (pixels <= MOST_PIXELS) return null;
  const most = Math.floor((MOST_PIXELS / pixels) * dpi);
  const offered = RESOLUTIONS.filter((own) => own <= most).at(-1) ?? most;
  return `at ${dpi} dpi the picture would be ${pixels} pixels long; at most ${MOST_PIXELS} can be made: use ${offered} dpi`;
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
  const painted = withoutSeams(scene, seamsOf(scene), across / width);
  const svg = svgOfScene(painted, { title: "", unit: "mm", embed: null, imageDpi, frame, pixels });
  const picture = rasterise(svg, width, ({ png }) => png());
  return withPhysicalSize(picture, (width / across) * 1_000, (pixels.height / down) * 1_000);
}

/** The design as a picture. */
export const png: FlatFormat = {
  extension: "png",
  mediaType: "image/png",
  kind: "picture",
  options: ["dpi", "lineArt"],
  needsRasteriser: () => true,
  refuses: ({ scene: { sheet } }, { dpi }) => tooManyPixels(Math.max(sheet.width, sheet.height), dpi),
  make: ({ scene }, { dpi }) => makePng(scene, pixelsOf(scene.sheet.width, dpi)),
};
