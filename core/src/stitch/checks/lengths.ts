import type { Point } from "../../geometry/point";
import { SEWN } from "../sewnThread";
import { defineStitchCheck } from "./definition";

/** What is this little too short or too long is rounding, millimetres. */
const ROUNDING = 2e-3;
/** Stitches by which a run is tied, at each end. */
const TIED = 3;

/** Whether stitches are as short and as long as the machine can; those that tie a run may be shorter, and are counted. */
export const lengths = defineStitchCheck({
  kind: "lengths",
  check({ plan: { x, y, how, settings } }) {
    const { shortest, longest, tie } = settings;
    const short: Point[] = [];
    const long: Point[] = [];
    let ties = 0;
    for (let k = 1; k < how.length; k++) {
      if (how[k] !== SEWN) continue;
      const length = Math.hypot((x[k] ?? 0) - (x[k - 1] ?? 0), (y[k] ?? 0) - (y[k - 1] ?? 0));
      const place = { x: x[k] ?? 0, y: y[k] ?? 0 };
      if (length > longest + ROUNDING) long.push(place);
      if (length >= shortest - ROUNDING) continue;
      if (tie && isTie(how, k)) ties += 1;
      else short.push(place);
    }
    return {
      state: long.length > 0 ? "failed" : short.length > 0 ? "doubtful" : "passed",
      figures: { short: short.length, long: long.length, ties, shortest, longest },
      places: [...long, ...short],
    };
  },
});

/** Whether a stitch is one of those that tie a run. */
function isTie(how: Uint8Array, k: number): boolean {
  for (let near = 1; near <= TIED; near++) {
    const [before, after] = [how[k - near], how[k + near]];
    if ((before !== undefined && before !== SEWN) || (after !== undefined && after !== SEWN)) return true;
  }
  return false;
}
