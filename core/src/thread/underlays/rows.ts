import { flattenPath } from "../../geometry/flatten";
import { FINE } from "../course";
import { fillRuns } from "../fill/fill";
import { runningPoints } from "../lines/running";
import { BELOW_LENGTH, BELOW_SPACING, defineUnderlay } from "./definition";

/** Open rows across those above; along the middle of a band, there and back. */
export const rows = defineUnderlay({
  kind: "rows",
  underArea: (inside, fill, limits, start) =>
    fillRuns(
      flattenPath(inside, FINE),
      { ...fill, angle: fill.angle + 90, spacing: BELOW_SPACING },
      { ...limits, pull: 0 },
      start,
    ),
  underBand(course) {
    const points = runningPoints(course, BELOW_LENGTH);
    return [course.closed ? points : [...points, ...points.toReversed().slice(1)]];
  },
});
