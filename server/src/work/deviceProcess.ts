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

/** What it tells. */
export type DeviceNews =
  | { readonly kind: "opened"; readonly steps: number }
  | { readonly kind: "refused"; readonly refusal: string }
  | {
      readonly kind: "step";
      readonly index: number;
      readonly seconds: number;
      readonly trace: Readonly<Record<string, number>>;
    }
  /** An error nobody foresaw. */
  | { readonly kind: "broken"; readonly message: string }
  | { readonly kind: "ended"; readonly stopped: boolean; readonly report: Readonly<Record<string, number>> };

/** Steps are waited for in pieces no longer than this, so that orders are heard, milliseconds. */
const LONGEST_WAIT = 100;

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
  for (let index = 0; index < run.steps; index++) {
    while (isPaused()) await wait(LONGEST_WAIT);
    if (isStopped()) return;
    const { seconds, trace } = run.step(index);
    await waitFor(pace === null ? 0 : (seconds * 1000) / pace);
    if (isStopped()) return;
    await tell({ kind: "step", index, seconds, trace });
  }
}

async function waitFor(milliseconds: number): Promise<void> {
  let left = milliseconds;
  do {
    await wait(Math.min(left, LONGEST_WAIT));
    if (!isPaused()) left -= LONGEST_WAIT;
  } while (left > 0 && !isStopped());
}
