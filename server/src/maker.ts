import { Piscina } from "piscina";
import { HttpProblem } from "./problem";
import type { MakeResult, MakeTask } from "./makeWorker";
import { inRepository } from "./settings";

const LONGEST_MILLISECONDS = 60_000;
const QUEUE = 200;

/** Makes files in worker threads, so that requests go on being answered meanwhile. */
export class Maker {
  private readonly pool = new Piscina<MakeTask, MakeResult>({
    filename: inRepository("server/dist/makeWorker.js"),
    minThreads: 0,
    maxThreads: 2,
    maxQueue: QUEUE,
    idleTimeout: 30_000,
  });

  async make(task: MakeTask): Promise<Buffer> {
    const signal = AbortSignal.timeout(LONGEST_MILLISECONDS);
    const result = await this.pool.run(task, { signal }).catch((error: unknown) => {
      if (signal.aborted) throw new HttpProblem(503, "Making the file took longer than a minute and was stopped.");
      throw error;
    });
    if ("refusal" in result) throw new HttpProblem(422, result.refusal);
    return Buffer.from(result.made);
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
