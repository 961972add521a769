import { defineCutCheck } from "./definition";

/** How much lay on each other, which is cut once. */
export const doubled = defineCutCheck({
  kind: "doubled",
  check: ({ doubled: length }) => ({ state: "passed", figures: { length: length < 1e-3 ? 0 : length }, places: [] }),
});
