import { given } from "../../fields/given";
import { number } from "../../fields/number";
import { record } from "../../fields/record";
import { polar } from "../../geometry/point";
import { defineGuide } from "./definition";
import { GUIDE_POINTS, GUIDE_RADIUS } from "./limits";

/** A star about the sheet's centre; its first point looks to `start`. */
export const star = defineGuide({
  kind: "star",
  fields: {
    star: given(
      record({
        points: given(number("count", 7, GUIDE_POINTS)),
        outer: given(number("length", 60, GUIDE_RADIUS)),
        inner: given(number("length", 26, GUIDE_RADIUS)),
        start: number("angle", 0),
      }),
    ),
  },
  first: { star: { points: 7, outer: 60, inner: 26, start: 0 } },
  shape: ({ star: { points, outer, inner, start } }) => ({
    name: "star",
    corners: Array.from({ length: 2 * points }, (_, k) => ({
      at: polar(k % 2 === 0 ? outer : inner, start + (k * 180) / points),
      words: k % 2 === 0 ? "star’s point" : "star’s inner corner",
    })),
  }),
});
