import { PassThrough, Readable } from "node:stream";
import { ZipFile } from "yazl";
import { fileName } from "@twin-petal/core";
import type { DesignStore } from "../db/designStore";
import { HttpProblem } from "../problem";
import { KEPT_FORMAT, LIST_NAME, type KeptDesign, type KeptList } from "./keptFile";
import { MOST_FILES } from "./zipIn";

/** Design files are words and numbers: packed harder they take four times as long and are hardly smaller. */
const PACKED = { compressionLevel: 2 };

/** A file of the zip, whose text is asked for when its turn comes. */
interface File {
  readonly name: string;
  readonly text: () => Promise<string>;
}

/**
 * Everything there is as one zip, a file at a time: every design, those in the bin too, with its takes, and the shelf. Design files
 * stand in it under their names, and open by themselves.
 */
export async function keepAll(store: DesignStore): Promise<Readable> {
  const files: File[] = [];
  const designs: KeptDesign[] = [];
  for (const { id, name, revision, changed, binned } of await store.all()) {
    const folder = `designs/${id}`;
    const state = (file: string, saved: number): string => {
      files.push({ name: file, text: () => textOf(store, id, saved) });
      return file;
    };
    const file = state(`${folder}/${fileName(name)}.petal.json`, revision);
    const takes = (await store.takes.list(id)).map((take) => ({
      ...take,
      file: state(`${folder}/takes/${take.revision} ${fileName(take.name)}.petal.json`, take.revision),
    }));
    designs.push({ id, file, revision, changed, binned: binned !== null, takes });
  }
  const pieces = (await store.shelf.list()).map(({ id, kind, name }) => {
    const file = `shelf/${id}/${fileName(name)}.petal.json`;
    files.push({ name: file, text: async () => (await store.shelf.find(id))?.content ?? "" });
    return { kind, file };
  });
  if (files.length >= MOST_FILES) {
    throw new HttpProblem(
      413,
      `That is more than ${MOST_FILES.toLocaleString("en")} files: copy the database instead (npm run -s keep -- out.db).`,
    );
  }
  const list: KeptList = { format: KEPT_FORMAT, designs, pieces };
  return packed([{ name: LIST_NAME, text: () => Promise.resolve(JSON.stringify(list, null, 2)) }, ...files]);
}

/** The text of one save. The present one is written beside its design too, and may be another by now. */
async function textOf(store: DesignStore, id: string, revision: number): Promise<string> {
  return (await store.takes.contentOf(id, revision)) ?? (await store.find(id))?.content ?? "";
}

function packed(files: readonly File[]): Readable {
  const zip = new ZipFile();
  const out = new PassThrough();
  zip.on("error", (error: Error) => out.destroy(error));
  for (const { name, text } of files) {
    zip.addReadStreamLazy(name, PACKED, (give) => {
      text().then(
        (read) => give(null, Readable.from([Buffer.from(read)])),
        (error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))),
      );
    });
  }
  zip.end();
  zip.outputStream.pipe(out);
  return out;
}
