import type { VariedPaint } from "../finish/fills/fill";
import type { Box } from "../geometry/box";
import { apply } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { boxOfGeometry } from "./boxOfGeometry";
import type { PartGeometry } from "./scene";

/** The box that colours lie over once for a whole part: its own, or the smallest about the pivot of its rules that holds it. */
export function wholeBoxOf(paint: VariedPaint, geometry: PartGeometry): Box {
  const box = boxOfGeometry(geometry);
  const pivot = "about" in paint && paint.about === "pivot" ? pivotOfRules(geometry) : null;
  if (!pivot) return box;
  const across = Math.max(pivot.x - box.left, box.right - pivot.x);
  const down = Math.max(pivot.y - box.top, box.bottom - pivot.y);
  return { left: pivot.x - across, right: pivot.x + across, top: pivot.y - down, bottom: pivot.y + down };
}

/** What the copies go round: the pivot of the last rule that has one, else the part's centre; null without rules. On the sheet. */
function pivotOfRules({ at, marks, copies }: PartGeometry): Point | null {
  const last = copies.placements.spans.at(-1)?.number;
  if (last === undefined) return null;
  const placed = marks().find(({ rule, mark }) => rule === last && mark.kind === "pivot");
  return placed?.mark.kind === "pivot" ? apply(placed.toSheet, placed.mark.at) : apply(at, ORIGIN);
}
