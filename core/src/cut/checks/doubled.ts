import { defineCutCheck } from "./definition";

/** How much lay on each other, which is cut once, and how much of what is cut has pieces that are kept on both sides. */
export const doubled = defineCutCheck({
  kind: "doubled",
  check: ({ doubled: length, between }) => ({
    state: "passed",
    figures: { length: length < 1e-3 ? 0 : length, between: between < 1e-3 ? 0 : between },
    places: [],
  }),
});
