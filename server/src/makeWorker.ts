import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { formatOf, loadRasteriser, makePng, parseDesign, type Design } from "@twin-petal/core";

/** What the worker is asked to make. */
export interface MakeTask {
  readonly content: string;
  /** A format's extension, or a picture of so many pixels across. */
  readonly as: string | { readonly pixels: number };
  readonly dpi: number;
}

export type MakeResult =
  | { readonly made: string | Uint8Array<ArrayBuffer> }
  /** Why it cannot be made. */
  | { readonly refusal: string };

const loadFile = () => readFile(createRequire(import.meta.url).resolve("@resvg/resvg-wasm/index_bg.wasm"));

/** Makes a file from a design, off the thread that answers requests. */
export default async function make({ content, as, dpi }: MakeTask): Promise<MakeResult> {
  const { design } = parseDesign(content);
  if (!design) return { refusal: "The design cannot be read." };
  if (typeof as === "object") return { made: await picture(design, as.pixels) };
  const format = formatOf(as);
  if (!format) return { refusal: `There is no format called “${as}”.` };
  const refusal = format.refuses?.(design, { dpi });
  if (refusal) return { refusal };
  if (format.needsRasteriser) await loadRasteriser(loadFile);
  return { made: format.make(design, { dpi }) };
}

async function picture(design: Design, pixels: number): Promise<Uint8Array<ArrayBuffer>> {
  await loadRasteriser(loadFile);
  return makePng(design, pixels);
}
