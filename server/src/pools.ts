import { Piscina } from "piscina";
import type { MakeOptions, ShelfKind } from "@twin-petal/core";
import { badDesign, HttpProblem } from "./problem";
import type { MakeResult, MakeTask } from "./work/makeWorker";
import type { ReadResult, ReadTask } from "./work/readWorker";
import { inRepository } from "./settings";

const LONGEST_MILLISECONDS = 60_000;
const QUEUE = 200;

/** A design that was found right: its file's text, and what the wall tells of it. */
export type ReadDesign = Extract<ReadResult, { readonly content: string }>;

/** A file, and what should be known of it. */
interface MadeFile {
  readonly file: Buffer;
  readonly notes: readonly string[];
}

/**
 * Everything that is computed of designs, in threads of their own, so that requests go on being answered meanwhile.
 * Reading has a thread to itself: a save does not wait for files being made.
 */
export class Pools {
  private readonly reading = new Piscina<ReadTask, ReadResult>({
    filename: inRepository("server/dist/work/readWorker.js"),
    minThreads: 1,
    maxThreads: 2,
    maxQueue: QUEUE,
  });
  private readonly making = new Piscina<MakeTask, MakeResult>({
    filename: inRepository("server/dist/work/makeWorker.js"),
    minThreads: 0,
    maxThreads: 2,
    maxQueue: QUEUE,
    idleTimeout: 30_000,
  });

  /** Reads a design's text, which may have to be a piece for the shelf; every fault in it is answered at once. */
  async read(text: string, piece: ShelfKind | null = null): Promise<ReadDesign> {
    const result = await limited("Reading the design", (signal) => this.reading.run({ text, piece }, { signal }));
    if ("noJson" in result) throw new HttpProblem(400, "The body is no JSON.");
    if ("problems" in result) throw badDesign(result.problems);
    return result;
  }

  /** Makes a file of a design that was found right before. */
  async make(content: string, as: string, options: Partial<MakeOptions>): Promise<MadeFile> {
    return fileOf(await this.work({ content, as, options }));
  }

  /** A picture of a design, so many pixels on its longer side. */
  async picture(content: string, pixels: number): Promise<Buffer> {
    return fileOf(await this.work({ content, pixels })).file;
  }

  close(): Promise<void> {
    return Promise.all([this.reading.destroy(), this.making.destroy()]).then(() => undefined);
  }

  private work(task: MakeTask): Promise<MakeResult> {
    return limited("Making the file", (signal) => this.making.run(task, { signal }));
  }
}

async function limited<T>(what: string, run: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const signal = AbortSignal.timeout(LONGEST_MILLISECONDS);
  return run(signal).catch((error: unknown) => {
    if (signal.aborted) throw new HttpProblem(503, `${what} took longer than a minute and was stopped.`);
    throw error;
  });
}

function fileOf(result: MakeResult): MadeFile {
  if ("problems" in result) throw badDesign(result.problems);
  if ("refusal" in result) throw new HttpProblem(422, result.refusal);
  const { buffer, byteOffset, byteLength } = result.file;
  return { file: Buffer.from(buffer, byteOffset, byteLength), notes: result.notes };
}
