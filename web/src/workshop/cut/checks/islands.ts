import { counted } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether something falls out that should stay. */
export const islands: CutCheckLabel = {
  kind: "islands",
  name: "Islands",
  words: ({ state, figures: { count } }) =>
    state === "passed"
      ? "nothing falls out that should stay"
      : `${counted(count, "piece")} would fall out; bridges hold them`,
};
