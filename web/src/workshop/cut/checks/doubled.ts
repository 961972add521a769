import { mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** What lay on each other. */
export const doubled: CutCheckLabel = {
  kind: "doubled",
  name: "Doubled lines",
  words: ({ figures: { length } }) =>
    (length ?? 0) === 0 ? "no line lies on another" : `${mm(length)} lay on each other and are cut once`,
};
