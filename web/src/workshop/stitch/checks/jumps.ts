import { counted } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** How often the needle moves on without sewing. */
export const jumps: StitchCheckLabel = {
  kind: "jumps",
  name: "Jumps",
  words: ({ figures: { jumps: lying, trims } }) =>
    (lying ?? 0) + (trims ?? 0) === 0
      ? "none: each thread is one run"
      : `${counted(lying, "jump")} with the thread left lying, ${counted(trims, "trim")}`,
};
