import { counted } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether holes go through. */
export const holes: SolidCheckLabel = {
  kind: "holes",
  name: "Holes",
  words: ({ figures: { through, blind } }) =>
    `${counted(through, "hole goes", "holes go")} through` +
    ((blind ?? 0) > 0 ? `, ${counted(blind, "cut ends", "cuts end")} within` : ""),
};
