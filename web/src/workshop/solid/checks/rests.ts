import { mm } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether it rests on the bed. */
export const rests: SolidCheckLabel = {
  kind: "rests",
  name: "On the bed",
  words: ({ state, figures: { lowest = 0 } }) =>
    state === "passed"
      ? "its lowest point is on the bed"
      : lowest > 0
        ? `it floats ${mm(lowest)} above the bed`
        : `it reaches ${mm(-lowest)} below the bed`,
};
