import { defineCutCheck } from "./definition";

/** Whether there is room in waste for the whole way into every cut. */
export const entries = defineCutCheck({
  kind: "entries",
  check({ entered: { none, shorter }, settings: { leadIn } }) {
    return {
      state: none.length > 0 ? "doubtful" : "passed",
      figures: { none: none.length, shorter: shorter.length, leadIn },
      places: [...none, ...shorter],
    };
  },
});
