import { counted, mm } from "../../figures";
import type { PrintCheckLabel } from "./definition";

/** Whether something is cut off at the sheet's edge. */
export const cutOff: PrintCheckLabel = {
  kind: "cutOff",
  name: "Cut off",
  words: ({ state, figures: { count, beyond, bleed } }) =>
    (count ?? 0) === 0
      ? "nothing crosses the sheet’s edge"
      : `${counted(count, "part")} cross${count === 1 ? "es" : ""} the sheet’s edge by up to ${mm(beyond)}` +
        (state === "passed" ? `, within the bleed of ${mm(bleed)}` : ""),
};
