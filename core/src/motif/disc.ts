import { extent } from "../fields/number";
import { circleSegments } from "../geometry/arc";
import { subpathOf } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";

/** A full circle about the origin. */
export const disc = defineMotif({
  kind: "disc",
  fields: { radius: extent(20) },
  outline: ({ radius }) => [subpathOf(circleSegments(radius), true)],
  handles: ({ radius }) => [lengthHandle("radius", ORIGIN, 0, radius)],
});
