import { choice } from "../fields/choice";
import { extent } from "../fields/number";
import { circleSegments } from "../geometry/arc";
import type { Cubic } from "../geometry/cubic";
import { scaling } from "../geometry/matrix";
import { subpathOf, transformPath } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";
import { QUARTER_HANDLE } from "./quarterHandle";

/** An ellipse about the origin, its ends round or pointed. */
export const ellipse = defineMotif({
  kind: "ellipse",
  fields: {
    rx: extent(8),
    ry: extent(20),
    /** Pointed ends are those at the top and the bottom. */
    ends: choice(["round", "pointed"], "round"),
  },
  outline({ rx, ry, ends }) {
    if (ends === "pointed") return [subpathOf(pointedEllipse(rx, ry), true)];
    return transformPath([subpathOf(circleSegments(1), true)], scaling(rx, ry));
  },
  handles: ({ rx, ry }) => [lengthHandle("rx", ORIGIN, 90, rx), lengthHandle("ry", ORIGIN, 0, ry)],
});

/** Four quarters whose handles at the top and the bottom are drawn in. */
function pointedEllipse(rx: number, ry: number): Cubic[] {
  const reach = ry * QUARTER_HANDLE;
  const [top, right, bottom, left] = [
    { x: 0, y: -ry },
    { x: rx, y: 0 },
    { x: 0, y: ry },
    { x: -rx, y: 0 },
  ];
  return [
    [top, top, { x: rx, y: -reach }, right],
    [right, { x: rx, y: reach }, bottom, bottom],
    [bottom, bottom, { x: -rx, y: reach }, left],
    [left, { x: -rx, y: -reach }, top, top],
  ];
}
