import { coursesOf, courseThrough } from "../course";
import { railsOf } from "../lines/rails";
import { runningPoints } from "../lines/running";
import { BELOW_LENGTH, defineUnderlay } from "./definition";

/** Running stitches along the edge. */
export const edge = defineUnderlay({
  kind: "edge",
  underArea: (inside) => coursesOf(inside).map((course) => runningPoints(course, BELOW_LENGTH)),
  underBand(course, width) {
    return railsOf(course, width / 2, BELOW_LENGTH).flatMap(({ left, right }) => {
      const [there, back] = [courseThrough(left, [0], false), courseThrough(right.toReversed(), [0], false)];
      return there && back ? [[...runningPoints(there, BELOW_LENGTH), ...runningPoints(back, BELOW_LENGTH)]] : [];
    });
  },
});
