import { initWasm, Resvg } from "@resvg/resvg-wasm";
import type { Design } from "../design/design";
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

/** The design as a PNG, `width` pixels across. The rasteriser must have been loaded. */
export function makePng(design: Design, width: number): Uint8Array<ArrayBuffer> {
  const scene = buildScene(design);
  const imageDpi = (width / scene.sheet.width) * MILLIMETRES_PER_INCH;
  const svg = svgOfScene(scene, { title: design.name, unit: "mm", embed: null, imageDpi });
  const picture = new Resvg(svg, { fitTo: { mode: "width", value: width } });
  const rendered = picture.render();
  const png = new Uint8Array(rendered.asPng());
  rendered.free();
  picture.free();
  return png;
}
