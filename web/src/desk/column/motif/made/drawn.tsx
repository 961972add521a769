import { DrawnPanel } from "../drawnPanel";
import { beginByHand } from "./begin";
import type { MadeMotif } from "./definition";

export const drawnMotif: MadeMotif = {
  kind: "drawn",
  name: "drawing",
  promise: "straight and curved segments",
  mark: <path d="M5 27 9 9 23 5 27 21ZM5 27m-2 0a2 2 0 1 0 4 0 2 2 0 1 0-4 0M27 21m-2 0a2 2 0 1 0 4 0 2 2 0 1 0-4 0" />,
  Panel: DrawnPanel,
  begin: (beginning) => beginByHand(beginning, "drawn", "draw"),
};
