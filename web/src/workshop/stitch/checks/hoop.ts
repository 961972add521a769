import { mm } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** Whether everything lies in the hoop. */
export const hoop: StitchCheckLabel = {
  kind: "hoop",
  name: "Fits the hoop",
  words: ({ state, figures: { width, height, beyond } }) =>
    state === "passed" ? `${mm(width)} by ${mm(height)}` : `reaches ${mm(beyond)} beyond the hoop`,
};
