import { MOST_UNITED } from "../../fields/most";
import { combine } from "../../geometry/boolean/boolean";
import { areaOfPath } from "../../geometry/path";
import { paintedLayers } from "../../scene/paintedLayers";
import type { Goal } from "../definition";

/** What a part paints, each place once, is a share of the sheet's area. */
export const share: Goal = {
  kind: "share",
  wanted: "share",
  first: 0.25,
  within: 1e-5,
  needsEngine: true,
  measure({ parts, sheet }, id, wanted) {
    const part = parts.find((known) => known.id === id);
    if (!part || part.geometry.placements.count > MOST_UNITED) return null;
    const painted = paintedLayers(part);
    if (painted.length === 0) return null;
    return Math.abs(areaOfPath(combine(painted, "union"))) / (sheet.width * sheet.height) - wanted;
  },
};
