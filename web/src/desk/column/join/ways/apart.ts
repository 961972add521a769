import type { JoinLabels } from "./definition";

export const apartLabels: JoinLabels = {
  kind: "apart",
  name: "apart",
  promise: "painted one over the other",
  Panel: null,
};
