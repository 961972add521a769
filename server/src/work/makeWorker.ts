import {
  formatOf,
  makeFile,
  parseDesign,
  thumbnailOf,
  type Made as MadeInCore,
  type MakeOptions,
} from "@twin-petal/core";
import { NODE_HOST } from "@twin-petal/host";

/** What the worker is asked to make: a format of a design, or a picture so many pixels on its longer side. */
export type MakeTask =
  | { readonly content: string; readonly as: string; readonly options: Partial<MakeOptions> }
  | { readonly content: string; readonly pixels: number };

/** A file as bytes, or why there is none. */
export type MakeResult =
  | Exclude<MadeInCore, { readonly file: unknown }>
  | { readonly file: Uint8Array<ArrayBuffer>; readonly notes: readonly string[] };

/** Makes a file from a design, in a process of its own. */
export default async function work(task: MakeTask): Promise<MakeResult> {
  const made = await make(task);
  if (!("file" in made)) return made;
  const file = typeof made.file === "string" ? new TextEncoder().encode(made.file) : made.file;
  return { file, notes: made.notes };
}

async function make(task: MakeTask): Promise<MadeInCore> {
  const { design, problems } = parseDesign(task.content);
  if (!design) return { problems };
  if ("pixels" in task) {
    const made = await thumbnailOf(design, task.pixels, NODE_HOST);
    return "file" in made ? { ...made, notes: [] } : made;
  }
  const format = formatOf(task.as);
  if (!format) return { refusal: `There is no format called “${task.as}”.` };
  return makeFile(design, format, task.options, NODE_HOST);
}
