import { defineCutCheck } from "./definition";

/** How much it is. */
export const amount = defineCutCheck({
  kind: "amount",
  check: ({ length, travel, seconds, loops, strokes }) => ({
    state: strokes.length > 0 ? "passed" : "failed",
    figures: { length, travel, seconds, loops: loops.length, strokes: strokes.length },
    places: [],
  }),
});
