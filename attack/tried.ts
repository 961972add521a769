import { inRepository } from "../server/src/settings";
import { ProcessPool, UndoneTask } from "../server/src/work/processPool";
import type { Measured, Trial } from "./trial";

/** A trial with its name in the table. */
export interface NamedTrial {
  readonly name: string;
  readonly trial: Trial;
}

/**
 * What each trial may take: seconds it is given in all, those for all but files, those for each file, those until something is refused
 * for what it would take, and megabytes.
 */
export interface TrialLimits {
  readonly seconds: number;
  readonly computed: number;
  readonly files: number;
  readonly refused?: number;
  readonly megabytes: number;
}

/** What came of a trial; what is wrong with it in words, empty where nothing is. */
export interface Tried {
  readonly name: string;
  readonly trial: Trial;
  readonly made: boolean;
  readonly refusals: readonly string[];
  readonly seconds: number;
  readonly fileSeconds: number;
  readonly megabytes: number;
  readonly faults: readonly string[];
}

/** Runs trials in processes of their own, two at a time; `heard` is told of each as it ends. */
export async function tried(
  trials: readonly NamedTrial[],
  { seconds, computed, files, refused = Infinity, megabytes }: TrialLimits,
  heard: (one: Tried) => void = () => undefined,
): Promise<Tried[]> {
  const pool = new ProcessPool<Trial, Measured>(inRepository("attack/dist/trial.js"), {
    most: 2,
    ready: 2,
    queue: trials.length,
    seconds,
    megabytes,
  });
  const one = async ({ name, trial }: NamedTrial): Promise<Tried> => {
    const outcome = await pool.run(trial).catch((error: unknown): Measured => {
      const fault =
        error instanceof UndoneTask ? WHY[error.why] : `an exception: ${String(error).split("\n", 2).join(" ")}`;
      return { made: false, refusals: [], faults: [fault], seconds: NaN, fileSeconds: NaN, megabytes: NaN };
    });
    const late = [
      ...(outcome.seconds > computed ? [`took ${outcome.seconds.toFixed(1)} s`] : []),
      ...(untilRefused(outcome) > refused
        ? [`was refused after ${untilRefused(outcome).toFixed(1)} s: ${outcome.refusals.join("; ")}`]
        : []),
      ...(outcome.fileSeconds > files ? [`its file took ${outcome.fileSeconds.toFixed(1)} s`] : []),
    ];
    const done = { name, trial, ...outcome, faults: [...outcome.faults, ...late] };
    heard(done);
    return done;
  };
  try {
    return await Promise.all(trials.map(one));
  } finally {
    await pool.close();
  }
}

/** What passed until something was refused, beside what computing the design takes where that could be done. Seconds. */
function untilRefused({ made, seconds, fileSeconds }: Measured): number {
  if (made) return 0;
  return fileSeconds > 0 ? fileSeconds - seconds : seconds;
}

const WHY = {
  ended: "its process ended",
  memory: "took too much memory",
  time: "took too long",
  stopped: "was stopped",
  full: "was not begun",
} as const;
