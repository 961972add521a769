import type { Matrix, Part } from "@twin-petal/core";
import type { ChosenReport } from "@/workers/frame";
import { labelsOfFill } from "../column/finish/fills/list";

interface PaintHandlesProps {
  readonly part: Part;
  readonly chosen: ChosenReport;
}

const SHEET_ITSELF: Matrix = [1, 0, 0, 1, 0, 0];

/** The places of the fill's colours, pulled on the sheet: over the source, or over the whole part. */
export function PaintHandles({ part, chosen }: PaintHandlesProps) {
  const { fill } = part.finish;
  const labels = labelsOfFill(fill);
  if (typeof fill !== "object" || fill === null || !labels?.Handles) return null;
  const whole = "over" in fill && fill.over === "whole" ? chosen.wholeBox : null;
  const [box, toSheet] = whole ? [whole, SHEET_ITSELF] : [chosen.motifBox, chosen.working];
  return <labels.Handles part={part.id} fill={fill} box={box} toSheet={toSheet} />;
}
