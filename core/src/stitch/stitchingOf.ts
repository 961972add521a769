import type { PartScene } from "../scene/scene";
import { NOT_SEWN, type FillStitch, type LineStitch, type ResolvedStitch } from "../thread/stitchFields";

/** A line at least this wide is sewn as a band, a thinner one as a line, millimetres. */
const BAND = 1;

/** A line's stitches where nothing is said of them. */
const USUAL_LINE: LineStitch = {
  kind: "running",
  times: 1,
  length: 2.5,
  width: 3,
  spacing: 0.4,
  place: "center",
};

/** An area's stitches where nothing is said of them. */
const USUAL_FILL: FillStitch = {
  angle: 0,
  spacing: 0.4,
  length: 4,
  shift: 0.333,
  wave: { length: 12, height: 0 },
  inset: 0,
};

/**
 * How a part is sewn; null where it is not. A part that says nothing is sewn by its finish: a fill in rows, a line of 1 mm
 * and more as a band of its width, a thinner one as a line.
 */
export function stitchingOf({ stitch, finish }: Pick<PartScene, "stitch" | "finish">): ResolvedStitch | null {
  if (stitch === NOT_SEWN) return null;
  if (stitch) return stitch;
  const { fill, line } = finish;
  const width = line?.width ?? 0;
  return {
    line:
      line && width > 0 ? { ...USUAL_LINE, ...(width >= BAND && { kind: "satin", width, place: line.place }) } : null,
    fill: fill ? USUAL_FILL : null,
    underlay: "none",
    pull: 0,
    thread: undefined,
    order: "rules",
  };
}
