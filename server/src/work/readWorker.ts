import { readDesign, writeDesign, type Problem } from "@twin-petal/core";
import { summarise, type Summary } from "./summary";

/** A design's text as it is stored, and what the wall tells of it; or what is wrong with it. */
export type ReadResult =
  | { readonly content: string; readonly summary: Summary }
  | { readonly problems: readonly Problem[] }
  | { readonly noJson: true };

/** Reads a design, off the thread that answers requests: a large one takes its time. */
export default function read(text: string): ReadResult {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { noJson: true };
  }
  const { design, problems } = readDesign(data);
  return design ? { content: writeDesign(design), summary: summarise(design) } : { problems };
}
