import {
  formatOf,
  importSvg,
  loadGeometryEngine,
  loadRasteriser,
  parseDesign,
  type ImportResult,
} from "@twin-petal/core";
import rasteriserUrl from "@resvg/resvg-wasm/index_bg.wasm?url";
import { expose } from "comlink";
import { prepareInBrowser, WEB_HOST } from "./webHost";

/** A file that was made and what it says otherwise than the desk, or why it cannot be. */
export type Made = { readonly file: Blob; readonly told: string | null } | { readonly refusal: string };

const maker = {
  /** Makes a design file's text into a format; pictures at so many dots an inch. */
  async make(content: string, extension: string, dpi: number): Promise<Made> {
    const { design, problems } = parseDesign(content);
    const format = formatOf(extension);
    if (!design || !format) return { refusal: problems[0]?.message ?? `there is no format ${extension}` };
    await prepareInBrowser(design);
    const refusal = format.refuses?.(design, { dpi });
    if (refusal) return { refusal };
    if (format.needsRasteriser?.(design)) await loadRasteriser(() => fetch(rasteriserUrl));
    const file = new Blob([await format.make(design, { dpi })], { type: format.mediaType });
    return { file, told: format.tells?.(design) ?? null };
  },

  /** Reads a picture from another program. */
  async importPicture(content: string): Promise<ImportResult> {
    await loadGeometryEngine(WEB_HOST.geometryEngine);
    return importSvg(content);
  },
};

export type Maker = typeof maker;

expose(maker);
