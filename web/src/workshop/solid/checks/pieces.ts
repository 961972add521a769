import { counted } from "../../figures";
import type { SolidCheckLabel } from "./definition";

/** In how many pieces it is. */
export const pieces: SolidCheckLabel = {
  kind: "pieces",
  name: "In one piece",
  words: ({ figures: { pieces } }) =>
    pieces === 1 ? "it hangs together" : `it falls into ${counted(pieces, "piece")}`,
};
