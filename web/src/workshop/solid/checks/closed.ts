import { counted } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether the surface closes. */
export const closed: SolidCheckLabel = {
  kind: "closed",
  name: "Closed",
  words: ({ figures: { open } }) =>
    open === 0 ? "the surface closes everywhere" : `${counted(open, "edge")} with a face on one side only`,
};
