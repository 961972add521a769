import { MOVED, TRIMMED } from "../sewnThread";
import { defineStitchCheck } from "./definition";

/** More moves without sewing than this are doubtful, for each thread. */
const MANY = 20;

/** How often the needle moves on without sewing, and where. */
export const jumps = defineStitchCheck({
  kind: "jumps",
  check({ plan: { x, y, how, threads }, told }) {
    const places = Array.from(how.keys())
      .filter((k) => k > 0 && (how[k] === MOVED || how[k] === TRIMMED))
      .map((k) => ({ x: x[k] ?? 0, y: y[k] ?? 0 }));
    return {
      state: places.length > MANY * threads.length ? "doubtful" : "passed",
      figures: { jumps: told.jumps, trims: told.trims },
      places,
    };
  },
});
