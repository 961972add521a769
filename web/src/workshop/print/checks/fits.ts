import { counted, mm } from "../../figures";
import type { PrintCheckLabel } from "./definition";

/** Whether it fits the paper. */
export const fits: PrintCheckLabel = {
  kind: "fits",
  name: "Fits the paper",
  words: ({ state, figures: { beyond, pages, across, down } }) =>
    state === "passed"
      ? counted(pages, "page") + ((pages ?? 1) > 1 ? `, ${across} across and ${down} down` : "")
      : `it leaves the printed part of the page by ${mm(beyond)}`,
};
