import { counted, figure } from "../../figures";
import type { PrintCheckLabel } from "./definition";

/** Whether lines stand out. */
export const lightLines: PrintCheckLabel = {
  kind: "lightLines",
  name: "Light lines",
  words: ({ state, figures: { count, contrast } }) =>
    state === "passed"
      ? "lines stand out from what they lie on"
      : `the lines of ${counted(count, "part")} stand out by ${figure(contrast)} to 1 only`,
};
