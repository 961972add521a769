import { counted, figure } from "../../figures";
import { timeWords } from "../../timeWords";
import type { CutCheckLabel } from "./definition";

/** How much it is. */
export const amount: CutCheckLabel = {
  kind: "amount",
  name: "Amount",
  words: ({ figures: { length, travel, seconds, loops } }) =>
    `${counted(loops, "closed cut")}, ${figure((length ?? 0) / 1000, 2)} m with the head down, ` +
    `${figure((travel ?? 0) / 1000, 2)} m up, ${timeWords(seconds ?? 0)}`,
};
