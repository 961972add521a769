import type { JoinLabels } from "./definition";

export const mergeLabels: JoinLabels = {
  kind: "merge",
  name: "merged",
  promise: "united into one outline",
  Panel: null,
};
