import { FreehandPanel } from "../freehandPanel";
import { beginByHand } from "./begin";
import type { MadeMotif } from "./definition";

export const freehandMotif: MadeMotif = {
  kind: "freehand",
  name: "strokes",
  promise: "drawn by hand onto the ornament",
  mark: <path d="M3 22C7 8 12 8 14 16S20 28 23 18 27 9 30 11" />,
  Panel: FreehandPanel,
  begin: (beginning) => beginByHand(beginning, "freehand", "freehand"),
};
