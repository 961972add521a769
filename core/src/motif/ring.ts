import { extent } from "../fields/number";
import { circleSegments } from "../geometry/arc";
import { reversePath, subpathOf } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";

/** A disc with a round hole: the inner circle runs the other way. */
export const ring = defineMotif({
  kind: "ring",
  fields: { outer: extent(20), inner: extent(12) },
  outline: ({ outer, inner }) => [
    subpathOf(circleSegments(outer), true),
    ...reversePath([subpathOf(circleSegments(inner), true)]),
  ],
  handles: ({ outer, inner }) => [lengthHandle("outer", ORIGIN, 0, outer), lengthHandle("inner", ORIGIN, 0, inner)],
  conflicts: ({ outer, inner }) =>
    inner < outer ? [] : [{ path: "inner", message: `must be less than outer, which is ${outer}`, mend: outer * 0.6 }],
});
