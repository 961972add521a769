import { setTimeout as wait } from "node:timers/promises";
import { DEVICES, type DeviceRun } from "@twin-petal/core";
import { NODE_HOST } from "@twin-petal/host";

/** What a device's process is given. */
export interface DeviceWork {
  readonly device: string;
  readonly file: Uint8Array;
  readonly settings: object;
  /** How many times faster than the device would be; null for at once. */
  readonly pace: number | null;
}

/** What is asked of it while it runs. */
export type DeviceOrder = "pause" | "resume" | "stop";

/** A step it has done. */
export interface DeviceStep {
  readonly index: number;
  readonly seconds: number;
  readonly trace: Readonly<Record<string, number>>;
}

/** What it tells. */
export type DeviceNews =
  | { readonly kind: "opened"; readonly steps: number }
  | { readonly kind: "refused"; readonly refusal: string }
  | { readonly kind: "steps"; readonly steps: readonly DeviceStep[] }
  /** An error nobody foresaw. */
  | { readonly kind: "broken"; readonly message: string }
  | { readonly kind: "ended"; readonly stopped: boolean; readonly report: Readonly<Record<string, number>> };

/** Steps are waited for in pieces no longer than this, so that orders are heard, milliseconds. */
const LONGEST_WAIT = 100;
/** Short steps are waited for together, milliseconds: a timer is no truer than this. */
const SHORTEST_WAIT = 10;
/** Steps are told together, at most this many milliseconds after they were done; orders are heard meanwhile. */
const TELL_EVERY = 40;

/** Tells whoever started this; resolves when it is on its way. */
const tell = (news: DeviceNews) => new Promise<void>((sent) => process.send?.(news, () => sent()));

// Nothing is done before whoever sent the file says so.
let order: DeviceOrder = "pause";
process.on("message", (given: DeviceWork | DeviceOrder) => {
  if (typeof given === "object")
    work(given)
      .catch(breakOff)
      .finally(() => process.disconnect())
      .catch(() => process.exit(1));
  // What is stopped stays so.
  else if (order !== "stop") order = given;
});
// Whoever had it started has gone, or it is done.
process.on("disconnect", () => process.exit());

function breakOff(error: unknown): Promise<void> {
  return tell({ kind: "broken", message: error instanceof Error ? error.message : String(error) });
}

const isStopped = () => order === "stop";
const isPaused = () => order === "pause";

async function work({ device: kind, file, settings, pace }: DeviceWork): Promise<void> {
  const device = DEVICES.find((known) => known.kind === kind);
  if (!device) throw new Error(`there is no device called ${kind}`);
  const run = await device.open(file, settings, NODE_HOST);
  if ("refusal" in run) return tell({ kind: "refused", refusal: run.refusal });
  await tell({ kind: "opened", steps: run.steps });
  await go(run, pace);
  await tell({ kind: "ended", stopped: isStopped(), report: run.report() });
}

async function go(run: DeviceRun, pace: number | null): Promise<void> {
  let done: DeviceStep[] = [];
  let toldAt = performance.now();
  const tellDone = async () => {
    if (done.length > 0) await tell({ kind: "steps", steps: done });
    done = [];
    toldAt = performance.now();
  };
  /** What the steps so far would have taken and was not waited for yet, milliseconds. */
  let owed = 0;
  await waitFor(0);
  for (let index = 0; index < run.steps && !isStopped(); index++) {
    const { seconds, trace } = run.step(index);
    owed += pace === null ? 0 : (seconds * 1000) / pace;
    if (owed >= SHORTEST_WAIT) {
      await tellDone();
      owed -= await waitFor(owed);
    }
    done.push({ index, seconds, trace });
    if (performance.now() - toldAt < TELL_EVERY) continue;
    await tellDone();
    await waitFor(0);
  }
  await tellDone();
}

/** Waits so many milliseconds and while it is paused; tells how long it was not. */
async function waitFor(milliseconds: number): Promise<number> {
  let waited = 0;
  while (!isStopped() && (isPaused() || waited < milliseconds)) {
    const began = performance.now();
    await wait(isPaused() ? LONGEST_WAIT : Math.min(milliseconds - waited, LONGEST_WAIT));
    if (!isPaused()) waited += performance.now() - began;
  }
  return waited;
}
