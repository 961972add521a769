import type { Box } from "../../geometry/box";
import type { Goal } from "../definition";
import { paintedBox } from "../paintedBox";

/** A part is as large one way as a length, lines included. */
function extent(kind: string, sideOf: (box: Box) => number): Goal {
  return {
    kind,
    wanted: "length",
    first: 100,
    within: 0.001,
    needsEngine: false,
    measure(scene, part, wanted) {
      const box = paintedBox(scene, part);
      return box && sideOf(box) - wanted;
    },
  };
}

/** A part is as wide as a length. */
export const width = extent("width", ({ left, right }) => right - left);

/** A part is as high as a length. */
export const height = extent("height", ({ top, bottom }) => bottom - top);
