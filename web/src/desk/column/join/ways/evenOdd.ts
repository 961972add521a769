import type { JoinLabels } from "./definition";

export const evenOddLabels: JoinLabels = {
  kind: "evenOdd",
  name: "even-odd",
  promise: "filled and hollow in turn where they overlap",
  Panel: null,
};
