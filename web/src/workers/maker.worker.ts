import { formatOf, loadRasteriser, parseDesign } from "@twin-petal/core";
import rasteriserUrl from "@resvg/resvg-wasm/index_bg.wasm?url";
import { expose } from "comlink";

/** A file that was made, or why it cannot be. */
export type Made = { readonly file: Blob } | { readonly refusal: string };

const maker = {
  /** Makes a design file's text into a format; pictures at so many dots an inch. */
  async make(content: string, extension: string, dpi: number): Promise<Made> {
    const { design, problems } = parseDesign(content);
    const format = formatOf(extension);
    if (!design || !format) return { refusal: problems[0]?.message ?? `there is no format ${extension}` };
    const refusal = format.refuses?.(design, { dpi });
    if (refusal) return { refusal };
    if (format.needsRasteriser) await loadRasteriser(() => fetch(rasteriserUrl));
    return { file: new Blob([format.make(design, { dpi })], { type: format.mediaType }) };
  },
};

export type Maker = typeof maker;

expose(maker);
