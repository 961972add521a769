import { counted, mm } from "../../figures";
import type { PrintCheckLabel } from "./definition";

/** Whether lines are wide enough to print. */
export const thinLines: PrintCheckLabel = {
  kind: "thinLines",
  name: "Thin lines",
  words: ({ state, figures: { count, width, thinnest } }) =>
    state === "passed"
      ? `none under ${mm(thinnest)}`
      : `the lines of ${counted(count, "part")} are under ${mm(thinnest)}, down to ${mm(width)}`,
};
