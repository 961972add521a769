import { counted } from "../../figures";
import type { StitchCheckLabel } from "./definition";

/** How often another thread is put in. */
export const changes: StitchCheckLabel = {
  kind: "changes",
  name: "Changes of thread",
  words: ({ state, figures: { changes: count, saved } }) =>
    state === "passed"
      ? `${counted(count, "change")}, as few as can be`
      : `${counted(count, "change")}; ${counted(saved, "change")} could be saved`,
};
