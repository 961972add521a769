import { createHash } from "node:crypto";
import type { MakeOptions, ShelfKind } from "@twin-petal/core";
import { badDesign, HttpProblem } from "./problem";
import type { MakeResult, MakeTask } from "./work/makeWorker";
import type { ReadResult, ReadTask } from "./work/readWorker";
import { inRepository } from "./settings";
import { ProcessPool, UndoneTask, type Undone } from "./work/processPool";

/** What reading a design may take, and making a file of it. */
const READING = { most: 2, ready: 1, seconds: 30, megabytes: 1_024, queue: 200 };
const MAKING = { most: 2, ready: 0, seconds: 60, megabytes: 2_048, queue: 200 };
/** What is soon done has a process to itself, so it does not wait behind what is not; what takes longer after all goes there. */
const QUICK = { most: 1, ready: 0, seconds: 5, megabytes: 1_024, queue: 200 };
/** A design of no more copies than this is soon made. */
const FEW_COPIES = 2_000;
/** So many designs that ended a process are remembered. */
const REMEMBERED = 1_000;

/** A design that was found right: its file's text, and what the wall tells of it. */
export type ReadDesign = Extract<ReadResult, { readonly content: string }>;

/** A file, and what should be known of it. */
interface MadeFile {
  readonly file: Buffer;
  readonly notes: readonly string[];
}

/**
 * Everything that is computed of designs, in processes of their own: whatever a design does, requests go on being answered. Reading
 * has processes to itself, so a save does not wait for files being made. A design that ended its process is not tried again as it is.
 */
export class Pools {
  private readonly reading: ProcessPool<ReadTask, ReadResult>;
  private readonly making = new ProcessPool<MakeTask, MakeResult>(
    inRepository("server/dist/work/makeWorker.js"),
    MAKING,
  );
  private readonly quick = new ProcessPool<MakeTask, MakeResult>(inRepository("server/dist/work/makeWorker.js"), QUICK);
  /** Why designs ended their processes, by what they hold. */
  private readonly ended = new Map<string, HttpProblem>();

  /** `ready` processes wait for designs to read even where there are none. */
  constructor(ready = READING.ready) {
    this.reading = new ProcessPool(inRepository("server/dist/work/readWorker.js"), { ...READING, ready });
  }

  /** Reads a design's text, which may have to be a piece for the shelf; every fault in it is answered at once. */
  async read(text: string, piece: ShelfKind | null = null): Promise<ReadDesign> {
    const result = await this.guarded(`read ${text}`, "Reading the design", READING, () =>
      this.reading.run({ text, piece }),
    );
    if ("noJson" in result) throw new HttpProblem(400, "The body is no JSON.");
    if ("problems" in result) throw badDesign(result.problems);
    return result;
  }

  /** Makes a file of a design that was found right before; `gone` stops it. */
  async make(
    { content, summary }: ReadDesign,
    as: string,
    options: Partial<MakeOptions>,
    gone?: AbortSignal,
  ): Promise<MadeFile> {
    const task = { content, as, options };
    if (summary.copies > FEW_COPIES) return fileOf(await this.work(task, gone));
    const made = await this.quick.run(task, gone).catch((error: unknown) => {
      if (error instanceof UndoneTask) return this.work(task, gone);
      throw error;
    });
    return fileOf(made);
  }

  /** A picture of a design, so many pixels on its longer side. */
  async picture(content: string, pixels: number): Promise<Buffer> {
    return fileOf(await this.work({ content, pixels })).file;
  }

  /** How much is under way. */
  load() {
    return { reading: this.reading.load(), making: this.making.load(), quick: this.quick.load() };
  }

  close(): Promise<void> {
    return Promise.all([this.reading.close(), this.making.close(), this.quick.close()]).then(() => undefined);
  }

  private work(task: MakeTask, gone?: AbortSignal): Promise<MakeResult> {
    return this.guarded(JSON.stringify(task), "Making the file", MAKING, () => this.making.run(task, gone));
  }

  /** Tells in words what became of a task that was not done, and remembers what ended its process. */
  private async guarded<T>(
    content: string,
    what: string,
    { seconds, megabytes }: typeof MAKING,
    run: () => Promise<T>,
  ): Promise<T> {
    const key = createHash("sha256").update(content).digest("base64");
    const before = this.ended.get(key);
    if (before) throw before;
    // A process may have been ended from outside: only what ends two of them is to blame.
    const twice = () =>
      run().catch((error: unknown) => {
        if (isEnded(error)) return run();
        throw error;
      });
    return twice().catch((error: unknown) => {
      if (!(error instanceof UndoneTask)) throw error;
      if (error.why === "full") throw new HttpProblem(503, "Too much is being made at once; try again in a while.");
      if (error.why === "stopped") throw new HttpProblem(503, `${what} was stopped: nobody waited for it any more.`);
      const problem = new HttpProblem(503, whyNot(what, error.why, seconds, megabytes));
      if (this.ended.size >= REMEMBERED) this.ended.delete([...this.ended.keys()][0] ?? "");
      this.ended.set(key, problem);
      throw problem;
    });
  }
}

const isEnded = (error: unknown) => error instanceof UndoneTask && error.why === "ended";

function whyNot(what: string, why: Undone, seconds: number, megabytes: number): string {
  const again = "It is not tried again as it is: lower a count, or make it simpler.";
  if (why === "time") return `${what} took longer than ${seconds} seconds and was stopped. ${again}`;
  if (why === "memory") return `${what} took more than ${megabytes} MB of memory and was stopped. ${again}`;
  return `${what} ended the process it was done in. ${again}`;
}

function fileOf(result: MakeResult): MadeFile {
  if ("problems" in result) throw badDesign(result.problems);
  if ("refusal" in result) throw new HttpProblem(422, result.refusal);
  const { buffer, byteOffset, byteLength } = result.file;
  return { file: Buffer.from(buffer, byteOffset, byteLength), notes: result.notes };
}
