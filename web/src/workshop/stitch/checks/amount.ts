import { figure } from "../../figures";
import { timeWords } from "../../timeWords";
import type { StitchCheckLabel } from "./definition";

/** How much it is. */
export const amount: StitchCheckLabel = {
  kind: "amount",
  name: "Amount",
  words: ({ figures: { stitches, thread, minutes } }) =>
    `${figure(stitches, 0)} stitches, ${figure(thread)} m of thread, ${timeWords((minutes ?? 0) * 60)}`,
};
