import { paintedBox } from "../paintedBox";
import type { Goal } from "../definition";

/** A part is as high as a length, lines included. */
export const height: Goal = {
  kind: "height",
  wanted: "length",
  first: 100,
  within: 0.001,
  needsEngine: false,
  measure(scene, part, wanted) {
    const box = paintedBox(scene, part);
    return box && box.bottom - box.top - wanted;
  },
};
