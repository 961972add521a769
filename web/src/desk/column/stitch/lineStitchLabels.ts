import type { LineStitchKind } from "@twin-petal/core";
import type { LineStitchLabels } from "./lineStitch";
import { runningLabels } from "./running";
import { satinLabels } from "./satin";

/** How every way of sewing a line is told. */
export const LINE_STITCH_LABELS: Readonly<Record<LineStitchKind, LineStitchLabels>> = {
  running: runningLabels,
  satin: satinLabels,
};
