import type { ChildProcess } from "node:child_process";
import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, readdir, rm } from "node:fs/promises";
import { join } from "node:path";
import { Transform, type Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ArrivalStore } from "../db/arrivalStore";
import { HttpProblem } from "../problem";
import { roomIn } from "../room";
import type { BringNews, BringWork } from "../work/bringProcess";
import { forked, killed, watchSize } from "../work/forked";
import type { Choices, TakenBack } from "./takeBack";

/** Files that are packed at once. */
const MOST_PACKED = 2;
/** Megabytes the heap of packing and of bringing grows to, each: they hold one file at a time. */
const HEAP = 192;
/** What they may take altogether. */
const MOST_MEGABYTES = 1_024;
const STOPPED = new HttpProblem(503, "It was stopped: what came whole is here.");
const COMING = /^coming-[\w-]+\.zip$/;

/** Everything out as one zip and back in, each in a process of its own: whatever its size, requests go on being answered. */
export class Keeping {
  private packing = 0;
  private isBringing = false;

  constructor(
    private readonly arrivals: ArrivalStore,
    /** Where a file lies while it is brought. */
    private readonly folder: string,
    /** The server that brings it. */
    private readonly server: string,
  ) {}

  /** Lets go of files that a server which ended left lying about. */
  async tidy(): Promise<void> {
    const left = await readdir(this.folder).catch(() => []);
    await Promise.all(left.filter((name) => COMING.test(name)).map((name) => rm(join(this.folder, name))));
  }

  /** Everything there is, as it is packed; what is not packed whole breaks off. */
  out(): Readable {
    if (this.packing >= MOST_PACKED)
      throw new HttpProblem(503, "Everything is being packed already; try again in a while.");
    const child = forked("keepProcess", [], HEAP, "pipe");
    const { stdout } = child;
    if (!stdout) throw new Error("nothing can be heard of the process that packs");
    this.packing += 1;
    const unwatch = watchSize(child, MOST_MEGABYTES, () => child.kill("SIGKILL"));
    child.once("exit", (code) => {
      this.packing -= 1;
      unwatch();
      if (code !== 0) stdout.destroy(new Error(`the process that packs ended with ${code}`));
    });
    stdout.once("close", () => child.kill("SIGKILL"));
    return stdout;
  }

  /** Brings back what a zip holds; `gone` stops it, and then what came whole stays. Throws an HttpProblem. */
  async back(
    zip: Readable,
    choices: Choices,
    gone: AbortSignal,
    onDesign: (done: number, of: number) => void,
  ): Promise<TakenBack> {
    if (this.isBringing)
      throw new HttpProblem(503, "Another file is being brought just now; try again once that is done.");
    this.isBringing = true;
    const path = join(this.folder, `coming-${randomUUID()}.zip`);
    try {
      await mkdir(this.folder, { recursive: true });
      await pipeline(zip, withinRoom(await roomIn(this.folder)), createWriteStream(path), { signal: gone });
      return await brought({ path, choices, server: this.server }, gone, onDesign);
    } catch (error) {
      throw gone.aborted ? STOPPED : error;
    } finally {
      await rm(path, { force: true });
      await this.arrivals.clear(this.server);
      this.isBringing = false;
    }
  }
}

/** Lets through so many bytes and no more. */
function withinRoom(most: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      bytes += piece.length;
      if (bytes <= most) done(null, piece);
      else
        done(
          new HttpProblem(
            507,
            "The zip is larger than what there is room for on the server's disk; nothing was changed.",
          ),
        );
    },
  });
}

async function brought(
  work: BringWork,
  gone: AbortSignal,
  onDesign: (done: number, of: number) => void,
): Promise<TakenBack> {
  const child = forked("bringProcess", [], HEAP);
  const unwatch = watchSize(child, MOST_MEGABYTES, () => child.kill("SIGKILL"));
  try {
    return await outcomeOf(child, work, gone, onDesign);
  } finally {
    unwatch();
    await killed(child);
  }
}

function outcomeOf(
  child: ChildProcess,
  work: BringWork,
  gone: AbortSignal,
  onDesign: (done: number, of: number) => void,
): Promise<TakenBack> {
  return new Promise((resolve, reject) => {
    const stop = () => reject(STOPPED);
    gone.addEventListener("abort", stop);
    if (gone.aborted) stop();
    child.once("exit", () =>
      reject(new HttpProblem(503, "The process that brought it ended: what came whole is here.")),
    );
    child.on("message", (news: BringNews) => {
      if (news.kind === "design") onDesign(news.done, news.of);
      else if (news.kind === "brought") resolve(news.outcome);
      else reject(new HttpProblem(news.status, news.detail, news.problems.length > 0 ? { errors: news.problems } : {}));
    });
    child.send(work, (error) => error && reject(error));
  });
}
