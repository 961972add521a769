import { mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** What lay on each other, and what pieces have in common. */
export const doubled: CutCheckLabel = {
  kind: "doubled",
  name: "Doubled lines",
  words: ({ figures: { length = 0, between = 0 } }) =>
    (length === 0 ? "no line lies on another" : `${mm(length)} lay on each other and are cut once`) +
    (between === 0 ? "" : `; ${mm(between)} between kept pieces are cut down their middle, without a kerf`),
};
