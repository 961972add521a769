import { unwaited } from "@/api/unwaited";
import { wrap, type Remote } from "comlink";
import type { SignOfLife } from "./serve";

/** A worker ended before it answered: what it was asked came to more than the browser gives it, or it could not be loaded. */
export class WorkerEnded extends Error {
  constructor() {
    super("it came to more than the browser gives for it, or the program could not be loaded");
  }
}

/** A worker at work. Whoever starts it ends it, in the middle of its work if need be. */
export interface Started<T> {
  /** What it does; what was asked of one that ended rejects with a WorkerEnded. */
  readonly work: Remote<T>;
  readonly end: () => void;
}

/** A worker that tells when it ends by itself. */
export interface Noticed<T> extends Started<T> {
  /** Resolves when it has ended though nobody had it end. */
  readonly ended: Promise<void>;
}

/** Follows a worker that has just been started. */
export function started<T>(worker: Worker): Noticed<T> {
  const followed = new AbortController();
  const ended = endOf(worker, followed.signal);
  const end = () => {
    followed.abort();
    worker.terminate();
  };
  return { work: rejecting(wrap<T>(worker), ended), ended, end };
}

/** A worker that is started anew when it has ended, as soon as something is asked of it. */
export function steady<T>(start: () => Worker): Started<T> {
  const first = started<T>(start());
  let current: Noticed<T> | null = null;
  const follow = (next: Noticed<T>) => {
    current = next;
    unwaited(next.ended.then(() => (current = null)));
    return next;
  };
  follow(first);
  const work = new Proxy(first.work, {
    get: (_first, name): unknown => Reflect.get((current ?? follow(started<T>(start()))).work, name),
  });
  return { work, end: () => current?.end() };
}

/** Resolves when a worker ends that nobody had end, or that could not be loaded. */
function endOf(worker: Worker, followed: AbortSignal): Promise<void> {
  let isAlive = false;
  return new Promise((resolve) => {
    worker.addEventListener("message", ({ data }: MessageEvent<unknown>) => {
      if (!isSignOfLife(data)) return;
      isAlive = true;
      // The worker holds the lock: it comes free when the worker has gone.
      navigator.locks.request(data.alive, { signal: followed }, () => resolve()).catch(() => undefined);
    });
    // One at work goes on after an error.
    worker.addEventListener("error", () => isAlive || resolve());
  });
}

function isSignOfLife(data: unknown): data is SignOfLife {
  return typeof data === "object" && data !== null && "alive" in data && typeof data.alive === "string";
}

/** The same methods; what is under way when the worker ends rejects, and what is asked of it after that. */
function rejecting<R extends object>(remote: R, ended: Promise<void>): R {
  // Those that wait are listed: a race against the end would keep every answer there ever was.
  const waiting = new Set<(error: WorkerEnded) => void>();
  let isOver = false;
  unwaited(
    ended.then(() => {
      isOver = true;
      for (const reject of waiting) reject(new WorkerEnded());
      waiting.clear();
    }),
  );
  const answered = (answer: unknown) =>
    new Promise((resolve, reject) => {
      if (isOver) return reject(new WorkerEnded());
      waiting.add(reject);
      unwaited(
        Promise.resolve(answer)
          .then(resolve, reject)
          .then(() => waiting.delete(reject)),
      );
    });
  return new Proxy(remote, {
    get: (target, name): unknown => {
      const method: unknown = Reflect.get(target, name);
      if (typeof method !== "function" || typeof name === "symbol") return method;
      return (...given: unknown[]) => answered(Reflect.apply(method, undefined, given));
    },
  });
}
