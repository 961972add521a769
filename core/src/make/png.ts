import { initWasm, Resvg } from "@resvg/resvg-wasm";
import type { Design } from "../design/design";
import type { Box } from "../geometry/box";
import type { Scene } from "../scene/scene";
import { buildScene } from "../scene/sceneBuilder";
import { svgOfScene } from "./svg/svg";

const MILLIMETRES_PER_INCH = 25.4;
/** Pixels a picture may have on its longer side. */
export const MOST_PIXELS = 16_384;

let loading: Promise<void> | null = null;

/** Makes the rasteriser ready; the host says where its WebAssembly is. Safe to call again. */
export function loadRasteriser(wasm: () => Promise<Parameters<typeof initWasm>[0]>): Promise<void> {
  loading ??= Promise.resolve(wasm()).then(initWasm);
  return loading;
}

/** Pixels on the sheet's longer side at a resolution. */
export function pixelsOf(millimetres: number, dpi: number): number {
  return Math.max(1, Math.round((millimetres / MILLIMETRES_PER_INCH) * dpi));
}

/** Why a picture of so many millimetres cannot be made at a resolution; null where it can. */
export function tooManyPixels(millimetres: number, dpi: number): string | null {
  const pixels = pixelsOf(millimetres, dpi);
  if (pixels <= MOST_PIXELS) return null;
  const most = Math.floor((MOST_PIXELS / pixels) * dpi);
  return `at ${dpi} dpi the picture would be ${pixels} pixels long; at most ${MOST_PIXELS} can be made: use ${most} dpi or less`;
}

/** The design as a PNG, `width` pixels across. The rasteriser must have been loaded. */
export function makePng(design: Design, width: number): Uint8Array<ArrayBuffer> {
  const scene = buildScene(design);
  const [x, y] = [scene.sheet.width / 2, scene.sheet.height / 2];
  return pngOfScene(scene, { left: -x, top: -y, right: x, bottom: y }, width);
}

/** A box of a scene (millimetres) as a PNG, `width` pixels across. */
export function pngOfScene(scene: Scene, frame: Box, width: number): Uint8Array<ArrayBuffer> {
  const [across, down] = [frame.right - frame.left, frame.bottom - frame.top];
  const imageDpi = (width / across) * MILLIMETRES_PER_INCH;
  // Whole pixels each way: a last row half covered would be a seam.
  const pixels = { width, height: Math.max(1, Math.round((width * down) / across)) };
  const svg = svgOfScene(scene, { title: "", unit: "mm", embed: null, imageDpi, frame, pixels });
  const picture = new Resvg(svg, { fitTo: { mode: "width", value: width } });
  const rendered = picture.render();
  const png = new Uint8Array(rendered.asPng());
  rendered.free();
  picture.free();
  return png;
}
