import { counted, mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether what is left holds together. */
export const narrow: CutCheckLabel = {
  kind: "narrow",
  name: "Narrow webs",
  words: ({ state, figures: { count, narrowest } }) =>
    state === "passed"
      ? `nothing holds by less than ${mm(narrowest)}`
      : `${counted(count, "place")} narrower than ${mm(narrowest)}`,
};
