import { given } from "../../fields/given";
import { number } from "../../fields/number";
import { record } from "../../fields/record";
import { polar } from "../../geometry/point";
import { defineGuide } from "./definition";
import { GUIDE_POINTS, GUIDE_RADIUS } from "./limits";

/** A polygon about the sheet's centre; its first corner looks to `start`. */
export const polygon = defineGuide({
  kind: "polygon",
  fields: {
    polygon: given(
      record({
        sides: given(number("count", 6, GUIDE_POINTS)),
        radius: given(number("length", 60, GUIDE_RADIUS)),
        start: number("angle", 0),
      }),
    ),
  },
  first: { polygon: { sides: 6, radius: 60, start: 0 } },
  shape: ({ polygon: { sides, radius, start } }) => ({
    name: "polygon",
    corners: Array.from({ length: sides }, (_, k) => ({
      at: polar(radius, start + (k * 360) / sides),
      words: "polygon’s corner",
    })),
  }),
});
