import { formatOf, makePng, parseDesign } from "@twin-petal/core";
import { prepareInNode } from "@twin-petal/host";

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

/** Makes a file from a design, off the thread that answers requests. */
export default async function make({ content, as, dpi }: MakeTask): Promise<MakeResult> {
  const { design } = parseDesign(content);
  if (!design) return { refusal: "The design cannot be read." };
  if (typeof as === "object") {
    await prepareInNode(design, "png");
    return { made: makePng(design, as.pixels) };
  }
  const format = formatOf(as);
  if (!format) return { refusal: `There is no format called “${as}”.` };
  await prepareInNode(design, as);
  const refusal = format.refuses?.(design, { dpi });
  if (refusal) return { refusal };
  return { made: await format.make(design, { dpi }) };
}
