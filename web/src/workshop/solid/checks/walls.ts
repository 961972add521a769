import { counted, mm } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether walls are thick enough. */
export const walls: SolidCheckLabel = {
  kind: "walls",
  name: "Walls",
  words: ({ state, figures: { thinnest, limit, places } }) =>
    state === "passed"
      ? `none thinner than ${mm(limit)}`
      : `${counted(places, "face")} over less than ${mm(limit)}, the thinnest ${mm(thinnest)}`,
};
