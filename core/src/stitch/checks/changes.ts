import { NEXT_THREAD } from "../sewnThread";
import { defineStitchCheck } from "./definition";

/** How often another thread is put in, and whether another order would save some. */
export const changes = defineStitchCheck({
  kind: "changes",
  check({ plan: { x, y, how, threads, fewestThreads }, told }) {
    const saved = threads.length - fewestThreads;
    const places = Array.from(how.keys())
      .filter((k) => how[k] === NEXT_THREAD)
      .map((k) => ({ x: x[k] ?? 0, y: y[k] ?? 0 }));
    return {
      state: saved > 0 ? "doubtful" : "passed",
      figures: { changes: told.changes, saved },
      places: saved > 0 ? places : [],
    };
  },
});
