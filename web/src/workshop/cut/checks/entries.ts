import { counted, mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether there is room in waste for the way into every cut. */
export const entries: CutCheckLabel = {
  kind: "entries",
  name: "Lead-ins",
  words: ({ figures: { none = 0, shorter = 0, leadIn = 0 } }) => {
    if (leadIn === 0) return "cuts begin on their edge";
    if (none + shorter === 0) return `every cut is entered by ${mm(leadIn)} of waste`;
    return [
      ...(none > 0 ? [`${counted(none, "cut")} entered on the edge, for want of waste`] : []),
      ...(shorter > 0 ? [`${counted(shorter, "cut")} entered by less than ${mm(leadIn)}`] : []),
    ].join("; ");
  },
};
