import { counted } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether a cut goes through a neighbouring piece. */
export const crossing: CutCheckLabel = {
  kind: "crossing",
  name: "Crossing cuts",
  words: ({ state, figures: { count, most } }) =>
    state === "passed"
      ? "no cut goes through another piece"
      : `${count === most ? `${count} places or more` : counted(count, "place")} where a cut goes through a neighbouring piece; merge the copies, or cut away what lies under others`,
};
