import { mm } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether it fits the bed. */
export const fits: SolidCheckLabel = {
  kind: "fits",
  name: "Fits the bed",
  words: ({ state, figures: { width, depth, height, beyond } }) =>
    `${mm(width)} wide, ${mm(depth)} deep, ${mm(height)} high` +
    (state === "passed" ? "" : `; it leaves the bed by ${mm(beyond)}`),
};
