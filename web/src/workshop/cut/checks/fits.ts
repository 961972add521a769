import { mm } from "../../figures";
import type { CutCheckLabel } from "./definition";

/** Whether it fits the frame. */
export const fits: CutCheckLabel = {
  kind: "fits",
  name: "Fits the frame",
  words: ({ state, figures: { width, height, beyond } }) =>
    `${mm(width)} wide, ${mm(height)} high` + (state === "passed" ? "" : `; it leaves the frame by ${mm(beyond)}`),
};
