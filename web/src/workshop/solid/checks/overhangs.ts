import { figure } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** What leans out over nothing. */
export const overhangs: SolidCheckLabel = {
  kind: "overhangs",
  name: "Overhangs",
  words: ({ state, figures: { area, limit } }) =>
    state === "passed"
      ? `nothing leans out by more than ${figure(limit)}°`
      : `${figure((area ?? 0) / 100, 2)} cm² lean out by more than ${figure(limit)}°`,
};
