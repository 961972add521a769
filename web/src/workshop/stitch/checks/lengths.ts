import { counted, mm } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** Whether stitches are too short or too long. */
export const lengths: StitchCheckLabel = {
  kind: "lengths",
  name: "Length of stitches",
  words: ({ state, figures: { short, long, ties, shortest, longest } }) =>
    state === "passed"
      ? `all between ${mm(shortest)} and ${mm(longest)}${(ties ?? 0) > 0 ? `, but for ${counted(ties, "shorter one", "shorter ones")} that ${ties === 1 ? "ties" : "tie"} runs` : ""}`
      : [
          ...((long ?? 0) > 0 ? [`${counted(long, "stitch", "stitches")} over ${mm(longest)}`] : []),
          ...((short ?? 0) > 0 ? [`${counted(short, "stitch", "stitches")} under ${mm(shortest)}`] : []),
        ].join("; "),
};
