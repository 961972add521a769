import { counted, figure } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** Whether needle points stand too close. */
export const dense: StitchCheckLabel = {
  kind: "dense",
  name: "Density",
  words: ({ state, figures: { densest, most, area, holes, pierced } }) =>
    state === "passed"
      ? `at most ${figure(most)} needle points on a mm²`
      : [
          ...((area ?? 0) > 0
            ? [`up to ${figure(most)} needle points on a mm², more than ${figure(densest)} on ${figure(area, 0)} mm²`]
            : []),
          ...((holes ?? 0) > 0
            ? [`up to ${figure(pierced, 0)} within a needle's width, in ${counted(holes, "place", "places")}`]
            : []),
        ].join("; "),
};
