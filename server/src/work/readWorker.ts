import { pieceTrouble, readDesign, writeDesign, type Problem, type ShelfKind } from "@twin-petal/core";
import { summarise, type Summary } from "./summary";

/** A design's text, and the kind of piece it is to be where it goes on the shelf. */
export interface ReadTask {
  readonly text: string;
  readonly piece: ShelfKind | null;
}

/** A design's text as it is stored, and what the wall tells of it; or what is wrong with it. */
export type ReadResult =
  | { readonly content: string; readonly summary: Summary }
  | { readonly problems: readonly Problem[] }
  | { readonly noJson: true };

/** Reads a design, in a process of its own: a large one takes its time. */
export default function read({ text, piece }: ReadTask): ReadResult {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { noJson: true };
  }
  const { design, problems } = readDesign(data);
  if (!design) return { problems };
  const trouble = piece && pieceTrouble(piece, design);
  return trouble ? { problems: [trouble] } : { content: writeDesign(design), summary: summarise(design) };
}
