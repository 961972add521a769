import { extent } from "../fields/number";
import { subpathOf } from "../geometry/path";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";
import { petalSegments } from "./petal";

/** Round at its foot, pointed at its tip. */
export const drop = defineMotif({
  kind: "drop",
  fields: { length: extent(36), width: extent(18) },
  outline: ({ length, width }) => [
    subpathOf(petalSegments({ length, width, widest: widestOf(length, width), tip: 0, foot: 1 }), true),
  ],
  handles: ({ length, width }) => [
    lengthHandle("length", { x: 0, y: 0 }, 0, length),
    lengthHandle("width", { x: 0, y: -length * widestOf(length, width) }, 90, width, 0.5),
  ],
});

/** The foot is a half circle where the drop is long enough for one. */
function widestOf(length: number, width: number): number {
  return Math.min(0.5, width / 2 / length);
}
