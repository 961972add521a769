import { boxOfPoints, isEmpty, type Box } from "../geometry/box";
import type { StitchPlan } from "./stitchPlan";
import { MOVED, NEXT_THREAD, SEWN, TRIMMED } from "./sewnThread";

/** What is told of a plan of stitches. */
export interface StitchesTold {
  /** How many stitches are sewn. */
  readonly stitches: number;
  /** How often the needle moves on with the thread left lying. */
  readonly jumps: number;
  /** How often it moves on with the thread trimmed. */
  readonly trims: number;
  /** How often another thread is put in. */
  readonly changes: number;
  /** How much of each thread is sewn, metres. */
  readonly thread: readonly number[];
  /** How long the machine sews, minutes. */
  readonly minutes: number;
  /** What is sewn reaches so far, millimetres; null where nothing is. */
  readonly box: Box | null;
}

/** How many stitches are sewn from one step of a plan to before another. */
export function sewnBetween({ how }: Pick<StitchPlan, "how">, from: number, to: number): number {
  let count = 0;
  for (let k = from; k < to; k++) if (how[k] === SEWN) count += 1;
  return count;
}

/** What is told of a plan: counts, thread and time. Every move takes as long as a stitch. */
export function toldOfStitches({ x, y, how, threads, settings }: StitchPlan): StitchesTold {
  const counts = [0, 0, 0, 0, 0];
  const thread = threads.map(() => 0);
  let own = 0;
  how.forEach((code, k) => {
    if (code === NEXT_THREAD) own += 1;
    if (k > 0 || code === SEWN) counts[code] = (counts[code] ?? 0) + 1;
    if (code !== SEWN || k === 0) return;
    const length = Math.hypot((x[k] ?? 0) - (x[k - 1] ?? 0), (y[k] ?? 0) - (y[k - 1] ?? 0));
    thread[own] = (thread[own] ?? 0) + length / 1000;
  });
  const [stitches = 0, jumps = 0, trims = 0, changes = 0] = [SEWN, MOVED, TRIMMED, NEXT_THREAD].map(
    (code) => counts[code] ?? 0,
  );
  const box = boxOfPoints(Array.from(x, (value, k) => ({ x: value, y: y[k] ?? 0 })));
  const minutes = (stitches + jumps + trims + changes) / settings.speed;
  return { stitches, jumps, trims, changes, thread, minutes, box: isEmpty(box) ? null : box };
}
