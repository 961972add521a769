import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { formatOf, loadRasteriser, prepareFor, type Design, type Host } from "@twin-petal/core";

const installed = (file: string) => readFile(createRequire(import.meta.url).resolve(file));

/** Where Node finds what the core needs: in the installed packages. */
const NODE_HOST: Host = {
  geometryEngine: () => installed("clipper2-wasm/dist/umd/clipper2z.wasm"),
  font: ({ file }) => installed(file),
};

/** Loads what a design needs before it is drawn, and the rasteriser for formats that are pictures. */
export async function prepareInNode(design: Design, as: string): Promise<void> {
  await prepareFor(design, NODE_HOST);
  if (formatOf(as)?.needsRasteriser?.(design)) {
    await loadRasteriser(() => installed("@resvg/resvg-wasm/index_bg.wasm"));
  }
}
