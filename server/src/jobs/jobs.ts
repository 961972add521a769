import { randomUUID } from "node:crypto";
import { EventEmitter } from "node:events";
import type { ChildProcess } from "node:child_process";
import type { Device } from "@twin-petal/core";
import { HttpProblem } from "../problem";
import type { DeviceNews, DeviceOrder, DeviceStep, DeviceWork } from "../work/deviceProcess";
import { forked, killed, watchSize } from "../work/forked";
import { MOST_RUNNING, type JobRow, type JobStore } from "./jobStore";

/** A device reads a file in no more than this, milliseconds. */
const LONGEST_OPENING = 120_000;
/** Megabytes a device's process may grow to. */
const MOST_MEGABYTES = 1_024;
/** How far a job has come is written down no more often than this, milliseconds. */
const WRITE_EVERY = 500;
/** How a job ended is tried again to be written down after so long, milliseconds. */
const WRITE_AGAIN = 2_000;

/** What is asked of a device. */
export interface JobAsked {
  readonly device: Device;
  readonly name: string;
  readonly file: Buffer;
  readonly settings: object;
  /** How many times faster than the device would be; null for at once. */
  readonly pace: number | null;
}

/** A job's news as they are streamed. */
export type JobNews =
  | { readonly event: "steps"; readonly data: readonly DeviceStep[] }
  | { readonly event: "state" | "end"; readonly data: JobRow };

interface Running {
  readonly process: ChildProcess;
  readonly trace: Readonly<Record<string, number>>[];
  readonly news: EventEmitter<{ news: [JobNews] }>;
  row: JobRow;
  written: number;
  /** Whether how it ended is known: a process tells it, and then ends itself. */
  isOver: boolean;
}

/** Simulated devices at work, each in a process of its own; what they did outlives the server. */
export class Jobs {
  private readonly running = new Map<string, Running>();

  constructor(
    private readonly store: JobStore,
    /** Is told of what could not be written down; it is tried again. */
    private readonly onTrouble: (error: unknown) => void,
  ) {}

  /** What the devices are doing and have done, the newest first. */
  async list(): Promise<JobRow[]> {
    return (await this.store.list()).map((row) => this.running.get(row.id)?.row ?? row);
  }

  /** A job as it is now. Throws where there is none such. */
  async find(id: string): Promise<JobRow> {
    const row = this.running.get(id)?.row ?? (await this.store.find(id));
    if (!row) throw new HttpProblem(404, "There is no such job.");
    return row;
  }

  /** Gives a file to a device, which begins when it has read it and found it right. Throws its refusal. */
  async start({ device, name, file, settings, pace }: JobAsked): Promise<JobRow> {
    const opening = {
      id: randomUUID(),
      device: device.kind,
      name,
      created: Date.now(),
      settings: JSON.stringify(settings),
      pace,
    };
    if (!(await this.store.open(opening))) {
      throw new HttpProblem(503, `${MOST_RUNNING} devices are at work already; stop one, or wait until one is done.`);
    }
    const child = forked("deviceProcess", [], MOST_MEGABYTES);
    try {
      const steps = await opened(child, { device: device.kind, file: Uint8Array.from(file), settings, pace });
      await this.store.begin(opening.id, steps, file);
      return this.run(child, { ...opening, state: "running", steps, done: 0, report: null, trouble: null });
    } catch (error) {
      child.kill("SIGKILL");
      await this.store.forget(opening.id).catch(this.onTrouble);
      throw error;
    }
  }

  private run(child: ChildProcess, row: JobRow): JobRow {
    const job: Running = { process: child, row, trace: [], news: new EventEmitter(), written: 0, isOver: false };
    job.news.setMaxListeners(0);
    this.running.set(row.id, job);
    const unwatch = watchSize(child, MOST_MEGABYTES, () => child.kill("SIGKILL"));
    child.on("message", (news: DeviceNews) => this.hear(job, news));
    const ended = () => {
      unwatch();
      this.end(job, { state: "failed", trouble: "The device ended before it was done." });
    };
    child.once("exit", ended);
    // It may have ended while the job was written down.
    if (child.connected) tell(child, "resume");
    else ended();
    return row;
  }

  /** Runs a job's file once more, as a job of its own. */
  async again(id: string, device: Device): Promise<JobRow> {
    const { name, settings, pace } = await this.find(id);
    const file = await this.store.fileOf(id);
    if (!file) throw new HttpProblem(404, "There is no such job.");
    const stored: unknown = JSON.parse(settings);
    const read = device.readSettings(stored);
    if ("refusal" in read) throw new HttpProblem(422, read.refusal);
    return this.start({ device, name, file, settings: read.settings, pace });
  }

  /** Pauses, resumes or stops a job. Throws where it does not run. */
  async order(id: string, order: DeviceOrder): Promise<JobRow> {
    const job = this.running.get(id);
    if (!job || job.isOver) {
      const { state } = await this.find(id);
      if (!job && (state === "running" || state === "paused")) {
        throw new HttpProblem(409, "The job runs at another server on this database: it is told there.");
      }
      throw new HttpProblem(409, `The job is ${state}; only one that runs can be told to ${order}.`);
    }
    tell(job.process, order);
    if (order === "stop") {
      await new Promise<void>((done) => job.news.on("news", ({ event }) => event === "end" && done()));
    } else {
      job.row = { ...job.row, state: order === "pause" ? "paused" : "running" };
      await this.store.change(id, { state: job.row.state }).catch(this.onTrouble);
      job.news.emit("news", { event: "state", data: job.row });
    }
    return this.find(id);
  }

  /** Every step a job has done. */
  async trace(id: string): Promise<readonly unknown[]> {
    const job = this.running.get(id);
    if (job) return job.trace;
    await this.find(id);
    const kept = await this.store.traceOf(id);
    const steps: unknown = kept === null ? [] : JSON.parse(kept);
    return Array.isArray(steps) ? steps.map((step): unknown => step) : [];
  }

  /** Calls back with everything a job does from now on; answers how to end that, or null where it does not run. */
  listen(id: string, hear: (news: JobNews) => void): (() => void) | null {
    const job = this.running.get(id);
    if (!job || job.isOver) return null;
    job.news.on("news", hear);
    return () => job.news.off("news", hear);
  }

  /** Ends every device at once; what ran is told as interrupted when the server is back. */
  async close(): Promise<void> {
    const children = [...this.running.values()].map(({ process }) => process);
    this.running.clear();
    await Promise.all(children.map(killed));
  }

  private hear(job: Running, news: DeviceNews): void {
    if (news.kind === "ended") {
      return this.end(job, { state: news.stopped ? "stopped" : "done", report: JSON.stringify(news.report) });
    }
    if (news.kind === "broken") {
      return this.end(job, { state: "failed", trouble: `The device broke off: ${news.message}` });
    }
    if (news.kind !== "steps") return;
    for (const { trace, seconds } of news.steps) job.trace.push({ ...trace, seconds });
    job.row = { ...job.row, done: job.trace.length };
    job.news.emit("news", { event: "steps", data: news.steps });
    if (Date.now() - job.written < WRITE_EVERY) return;
    job.written = Date.now();
    this.store.change(job.row.id, { done: job.row.done }).catch(this.onTrouble);
  }

  private end(job: Running, change: Pick<JobRow, "state"> & Partial<JobRow>): void {
    const { id } = job.row;
    if (this.running.get(id) !== job || job.isOver) return;
    job.isOver = true;
    job.row = { ...job.row, ...change };
    this.writeDown(job)
      .catch((error: unknown) => {
        this.onTrouble(error);
        this.writeLater(job);
      })
      .finally(() => job.news.emit("news", { event: "end", data: job.row }))
      .catch(this.onTrouble);
  }

  /** Writes down how a job ended; until that is done it is answered from memory. */
  private async writeDown({ row, trace }: Running): Promise<void> {
    const { id, state, report, trouble, done } = row;
    await this.store.change(id, { state, report, trouble, done, trace: JSON.stringify(trace) });
    this.running.delete(id);
  }

  /** There may be no room just now. */
  private writeLater(job: Running): void {
    setTimeout(() => {
      if (this.running.get(job.row.id) === job) this.writeDown(job).catch(() => this.writeLater(job));
    }, WRITE_AGAIN).unref();
  }
}

/** One that ends just now hears no order; that it ended is told by itself. */
function tell(child: ChildProcess, order: DeviceOrder): void {
  child.send(order, () => undefined);
}

/** Gives a device its work, and answers the steps it has found in its file. Rejects with its refusal. */
function opened(child: ChildProcess, work: DeviceWork): Promise<number> {
  return new Promise((resolve, reject) => {
    const settle = () => {
      clearTimeout(timer);
      unwatch();
      child.off("exit", ended).off("error", give);
    };
    const give = (error: Error) => {
      settle();
      child.kill("SIGKILL");
      reject(error);
    };
    const ended = () => give(new HttpProblem(503, "The device ended while it read the file: that is too much for it."));
    const unwatch = watchSize(child, MOST_MEGABYTES, ended);
    const timer = setTimeout(
      () => give(new HttpProblem(503, "The device took longer than two minutes to read the file.")),
      LONGEST_OPENING,
    );
    child.once("exit", ended).once("error", give);
    child.once("message", (news: DeviceNews) => {
      if (news.kind === "refused") return give(new HttpProblem(422, news.refusal));
      if (news.kind === "broken") return give(new Error(news.message));
      if (news.kind !== "opened") return give(new Error("a device began before it had read its file"));
      settle();
      resolve(news.steps);
    });
    child.send(work, (error) => error && give(error));
  });
}
