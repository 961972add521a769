import { isStraight, type Cubic } from "./cubic";
import { segmentsOf, type Path } from "./path";
import type { Point } from "./point";
import { decimals } from "./decimals";

/** Decimals of a millimetre in written outlines: ten nanometres. */
const PLACES = 5;

/** An outline as SVG path data, absolute, in millimetres. */
export function pathData(path: Path): string {
  return path
    .map((subpath) => {
      const segments = segmentsOf(subpath);
      const [first] = segments;
      if (!first) return "";
      return `M${pair(first[0])}${segments.map(segmentData).join("")}${subpath.closed ? "Z" : ""}`;
    })
    .join("");
}

function segmentData(segment: Cubic): string {
  const [, leave, arrive, end] = segment;
  return isStraight(segment) ? `L${pair(end)}` : `C${pair(leave)} ${pair(arrive)} ${pair(end)}`;
}

function pair({ x, y }: Point): string {
  return `${decimals(x, PLACES)} ${decimals(y, PLACES)}`;
}
