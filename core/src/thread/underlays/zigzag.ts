import { flattenPath } from "../../geometry/flatten";
import { FINE } from "../course";
import { fillRuns } from "../fill/fill";
import { satin } from "../lines/satin";
import type { LineStitch } from "../stitchFields";
import { BELOW_SPACING, defineUnderlay } from "./definition";

const OPEN: LineStitch = { kind: "satin", times: 1, length: 2.5, width: 0, spacing: BELOW_SPACING, place: "center" };

/** Wide to and fro: open rows aslant to those above, or open satin. */
export const zigzag = defineUnderlay({
  kind: "zigzag",
  underArea: (inside, fill, limits, start) =>
    fillRuns(
      flattenPath(inside, FINE),
      { ...fill, angle: fill.angle + 45, spacing: BELOW_SPACING },
      { ...limits, pull: 0 },
      start,
    ),
  underBand: (course, width, limits) => [satin.sew(course, { ...OPEN, width }, { ...limits, pull: 0 })],
});
