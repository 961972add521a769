import { paintedBox } from "../paintedBox";
import type { Goal } from "../definition";

/** What is left between a part, lines included, and the nearest edge of the sheet is a length. */
export const margin: Goal = {
  kind: "margin",
  wanted: "length",
  first: 10,
  within: 0.001,
  needsEngine: false,
  measure(scene, part, wanted) {
    const box = paintedBox(scene, part);
    const [x, y] = [scene.sheet.width / 2, scene.sheet.height / 2];
    return box && Math.min(box.left + x, x - box.right, box.top + y, y - box.bottom) - wanted;
  },
};
