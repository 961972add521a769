import { GUIDE } from "@twin-petal/core";
import { labelGuide } from "./definition";

const { fields } = GUIDE.angle;

export const slantedLabels = labelGuide({
  kind: "angle",
  name: "a line at an angle",
  words: (guide, number) => (
    <>A line at {number("angle", guide.angle, fields.angle, (angle) => ({ ...guide, angle }))}.</>
  ),
});
