import { defineStitchCheck } from "./definition";

/** How much it is: stitches, thread (metres) and time (minutes). */
export const amount = defineStitchCheck({
  kind: "amount",
  check: ({ told: { stitches, thread, minutes } }) => ({
    state: stitches > 0 ? "passed" : "failed",
    figures: { stitches, thread: thread.reduce((sum, length) => sum + length, 0), minutes },
    places: [],
  }),
});
