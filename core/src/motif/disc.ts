import { extent } from "../design/field";
import { circleSegments } from "../geometry/arc";
import { subpathOf } from "../geometry/path";
import { defineMotif } from "./definition";

export const disc = defineMotif({
  kind: "disc",
  fields: { radius: extent(20) },
  outline: ({ radius }) => [subpathOf(circleSegments(radius), true)],
});
