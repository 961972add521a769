import { counted, mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether there are pieces or holes too small to make. */
export const small: CutCheckLabel = {
  kind: "small",
  name: "Small pieces",
  words: ({ state, figures: { count, vanished, smallest } }) =>
    state === "passed"
      ? `none under ${mm(smallest)}`
      : [
          ...((count ?? 0) > 0 ? [`${counted(count, "piece or hole", "pieces and holes")} under ${mm(smallest)}`] : []),
          ...((vanished ?? 0) > 0 ? [`${counted(vanished, "outline")} smaller than the cut is wide`] : []),
        ].join("; "),
};
