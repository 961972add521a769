import { figure } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** Whether needle points stand too close. */
export const dense: StitchCheckLabel = {
  kind: "dense",
  name: "Density",
  words: ({ state, figures: { densest, most, area } }) =>
    state === "passed"
      ? `at most ${figure(most)} stitches a mm²`
      : `up to ${figure(most)} stitches a mm², more than ${figure(densest)} on ${figure(area, 0)} mm²`,
};
