import { NEXT_THREAD } from "../../stitch/sewnThread";
import { decimals } from "../../geometry/decimals";
import type { StitchFormat, StitchSubject } from "../format";
import { beyondHoop } from "./beyondHoop";

/** The first line of a table of stitches. */
export const STITCH_COLUMNS = "x,y,how,thread";
const PLACES = 3;

/** Every stitch as a line of a table: where, how, and the colour of the thread. */
export function makeStitchCsv({ plan }: StitchSubject): string {
  let thread = 0;
  const lines = Array.from(plan.how, (how, k) => {
    if (how === NEXT_THREAD) thread += 1;
    const place = [plan.x[k] ?? 0, plan.y[k] ?? 0].map((value) => decimals(value, PLACES));
    return [...place, how, plan.threads[thread]?.color ?? ""].join(",");
  });
  return `${[STITCH_COLUMNS, ...lines].join("\n")}\n`;
}

/** The stitches as a table. */
export const stitchCsv: StitchFormat = {
  extension: "stitch.csv",
  mediaType: "text/csv",
  kind: "stitch",
  options: [],
  notes: beyondHoop,
  make: makeStitchCsv,
};
