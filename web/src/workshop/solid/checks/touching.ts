import { counted } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** Whether bodies only touch along an edge. */
export const touching: SolidCheckLabel = {
  kind: "touching",
  name: "Held together",
  words: ({ figures: { edges } }) =>
    edges === 0
      ? "nothing only touches along an edge"
      : `bodies only touch along ${counted(edges, "edge")}: let them overlap, or stand apart`,
};
