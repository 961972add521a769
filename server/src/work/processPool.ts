import type { ChildProcess } from "node:child_process";
import { forked, killed, watchSize } from "./forked";

/** Why a task was not done. */
export type Undone = "ended" | "memory" | "time" | "stopped" | "full";

/** A task that was not done: its process ended, grew too large or took too long, or nobody waits for it any more. */
export class UndoneTask extends Error {
  constructor(readonly why: Undone) {
    super(`the task was not done: ${why}`);
  }
}

/** What the processes of a pool may take. */
interface PoolLimits {
  /** Processes at once. */
  readonly most: number;
  /** Processes that wait even where nothing is to be done. */
  readonly ready: number;
  /** Seconds a task may take once it has begun. */
  readonly seconds: number;
  /** Megabytes a process may grow to. */
  readonly megabytes: number;
  /** Tasks that may wait. */
  readonly queue: number;
  /** Milliseconds after which an idle process ends that need not be ready; half a minute unless told. */
  readonly idle?: number;
}

interface Job<Task, Result> {
  readonly task: Task;
  readonly signal: AbortSignal | undefined;
  resolve: (result: Result) => void;
  reject: (error: Error) => void;
}

/** What a process answers: the task's result, or what it threw. */
export type Answered<Result> = { readonly result: Result } | { readonly thrown: string };

/** An idle process beyond those that stay ready ends after this long, milliseconds. */
const IDLE = 30_000;

/**
 * Runs tasks in processes of their own. One that ends, grows beyond its limit or takes too long takes nothing along: its task is
 * rejected, and another process does the next one.
 */
export class ProcessPool<Task, Result> {
  private readonly waiting: Job<Task, Result>[] = [];
  private readonly idle: ChildProcess[] = [];
  private readonly all = new Set<ChildProcess>();
  private isClosed = false;

  /** `work` is where the module is whose default export does a task. */
  constructor(
    private readonly work: string,
    private readonly limits: PoolLimits,
  ) {
    for (let ready = 0; ready < limits.ready; ready++) this.idle.push(this.start());
  }

  /** Does a task. Rejects with an UndoneTask, or with what the task threw. */
  run(task: Task, signal?: AbortSignal): Promise<Result> {
    if (this.waiting.length >= this.limits.queue) return Promise.reject(new UndoneTask("full"));
    return new Promise((resolve, reject) => {
      this.waiting.push({ task, signal, resolve, reject });
      this.next();
    });
  }

  /** How many processes are at work, and how many tasks wait. */
  load(): { readonly busy: number; readonly waiting: number } {
    return { busy: this.all.size - this.idle.length, waiting: this.waiting.length };
  }

  /** Ends every process, whatever it does. */
  async close(): Promise<void> {
    this.isClosed = true;
    const all = [...this.all];
    for (const child of all) child.ref();
    await Promise.all(all.map(killed));
  }

  private next(): void {
    const job = this.waiting[0];
    if (!job || this.isClosed) return;
    if (job.signal?.aborted) {
      this.waiting.shift();
      job.reject(new UndoneTask("stopped"));
      return this.next();
    }
    const child = this.idle.pop() ?? (this.all.size < this.limits.most ? this.start() : undefined);
    if (!child) return;
    this.waiting.shift();
    this.begin(child, job);
    this.next();
  }

  private start(): ChildProcess {
    const child = forked("child", [this.work], this.limits.megabytes);
    this.all.add(child);
    child.once("exit", () => {
      this.all.delete(child);
      const at = this.idle.indexOf(child);
      if (at >= 0) this.idle.splice(at, 1);
      this.next();
    });
    letEnd(child);
    return child;
  }

  private begin(child: ChildProcess, job: Job<Task, Result>): void {
    let why: Undone = "ended";
    child.ref();
    child.channel?.ref();
    const end = (reason: Undone) => {
      why = reason;
      child.kill("SIGKILL");
    };
    const timer = setTimeout(() => end("time"), this.limits.seconds * 1_000);
    const unwatch = watchSize(child, this.limits.megabytes, () => end("memory"));
    const stop = () => end("stopped");
    job.signal?.addEventListener("abort", stop);
    const settle = () => {
      clearTimeout(timer);
      unwatch();
      job.signal?.removeEventListener("abort", stop);
      child.off("exit", ended).off("message", answered);
    };
    const ended = () => {
      settle();
      job.reject(new UndoneTask(why));
    };
    const answered = (answer: Answered<Result>) => {
      settle();
      if ("result" in answer) {
        job.resolve(answer.result);
        this.rest(child);
        return;
      }
      job.reject(new Error(answer.thrown));
      // What nobody foresaw may have left its engines in disorder.
      child.kill("SIGKILL");
    };
    child.once("exit", ended).once("message", answered);
    child.send({ task: job.task }, (error) => error && end("ended"));
  }

  /** A process that has done its task does the next one, or waits for it. */
  private rest(child: ChildProcess): void {
    letEnd(child);
    this.idle.push(child);
    this.next();
    if (!this.idle.includes(child) || this.idle.length <= this.limits.ready) return;
    setTimeout(() => {
      const at = this.idle.indexOf(child);
      if (at < 0 || this.idle.length <= this.limits.ready) return;
      // From now on it is given nothing to do.
      this.idle.splice(at, 1);
      child.kill();
    }, this.limits.idle ?? IDLE).unref();
  }
}

/** A process that waits for work does not keep its parent from ending. */
function letEnd(child: ChildProcess): void {
  child.unref();
  child.channel?.unref();
}
