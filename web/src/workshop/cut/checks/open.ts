import { counted } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether everything that is cut bounds a piece. */
export const open: CutCheckLabel = {
  kind: "open",
  name: "Open lines",
  words: ({ state, figures: { count } }) =>
    state === "passed" ? "every cut goes all round" : `${counted(count, "line")} cut through without going all round`,
};
