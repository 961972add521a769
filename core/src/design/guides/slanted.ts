import { given } from "../../fields/given";
import { number } from "../../fields/number";
import { optional } from "../../fields/optional";
import { point } from "../../fields/point";
import { ORIGIN } from "../../geometry/point";
import { defineGuide } from "./definition";

/** A line at an angle through a point, the sheet's centre unless given. */
export const slanted = defineGuide({
  kind: "angle",
  fields: {
    angle: given(number("angle", 0)),
    through: optional(point(ORIGIN, { min: -10_000, max: 10_000, whole: false })),
  },
  first: { angle: 45 },
  shape: ({ angle, through = ORIGIN }) => ({ through, angle }),
});
