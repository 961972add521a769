import { defineCheck } from "./definition";

/** In how many pieces it is; more than one may be meant. */
export const pieces = defineCheck({
  kind: "pieces",
  check({ pieces: found }) {
    // The largest is the work; the others lie beside it.
    const others = found.toSorted((a, b) => b.volume - a.volume).slice(1);
    return {
      state: found.length === 1 ? "passed" : "doubtful",
      figures: { pieces: found.length },
      places: others.map(({ middle }) => middle),
    };
  },
});
