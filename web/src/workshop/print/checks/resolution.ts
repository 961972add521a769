import { counted, figure } from "../../figures";
import type { PrintCheckLabel } from "./definition";

/** Whether what is printed as pictures has dots enough. */
export const resolution: PrintCheckLabel = {
  kind: "resolution",
  name: "Pictures",
  words: ({ figures: { count, dots, fewest } }) =>
    (count ?? 0) === 0
      ? "everything is drawn as outlines"
      : `${counted(count, "part")} with shadows, grain or pools at ${figure(dots, 0)} dots an inch; ${fewest} look fine`,
};
