import { paintedBox } from "../paintedBox";
import type { Goal } from "../definition";

/** A part is as wide as a length, lines included. */
export const width: Goal = {
  kind: "width",
  wanted: "length",
  first: 100,
  within: 0.001,
  needsEngine: false,
  measure(scene, part, wanted) {
    const box = paintedBox(scene, part);
    return box && box.right - box.left - wanted;
  },
};
