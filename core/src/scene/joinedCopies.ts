import { MOST_FACED, MOST_UNITED } from "../design/most";
import type { ResolvedPart } from "../design/resolve";
import { SHEET } from "../design/uses";
import { areaWithin } from "../geometry/area";
import { apply } from "../geometry/matrix";
import { ORIGIN } from "../geometry/point";
import { isJoined, joinCopies, type JoinAsked, type JoinedCopies } from "../join/joinCopies";
import type { Surroundings } from "../motif/drawing";
import { RuleTrouble } from "../rules/ruleTrouble";
import type { PartGeometry } from "./scene";

/** A part's copies joined as it asks; null where they stay as they are. `onSheet` sees other parts on the sheet. */
export function joinedCopies(
  { join, at }: Pick<ResolvedPart, "join" | "at">,
  copies: PartGeometry["copies"],
  onSheet: Surroundings,
): JoinedCopies | null {
  const { mode, dropDoubled, paint, cutBy, inside } = join;
  const kept = inside === null ? null : inside === SHEET ? onSheet.sheet() : (onSheet.areaOf(inside) ?? []);
  const taken = cutBy.flatMap((id) => onSheet.areaOf(id) ?? []);
  const limits = { taken: taken.length > 0 ? areaWithin(taken) : null, kept: kept && areaWithin(kept) };
  const asked: JoinAsked = { mode, dropDoubled, paint, limits, centre: apply(at, ORIGIN) };
  if (!isJoined(asked)) return null;
  const most = mode === "faces" || dropDoubled ? MOST_FACED : MOST_UNITED;
  const { count } = copies.placements;
  if (count > most) {
    const told = `joins ${count.toLocaleString("en")} copies; at most ${most.toLocaleString("en")} can be joined so`;
    throw new RuleTrouble("join", told);
  }
  return joinCopies(copies, asked);
}
