import { MOST_FACED, MOST_UNITED, MOST_WOVEN } from "../design/most";
import type { ResolvedPart } from "../design/resolve";
import { SHEET } from "../design/uses";
import type { LineShape } from "../finish/line/lineShape";
import { areaWithin } from "../geometry/area";
import { apply } from "../geometry/matrix";
import { ORIGIN } from "../geometry/point";
import { isJoined, joinCopies, type JoinAsked, type JoinedCopies } from "../join/joinCopies";
import type { Surroundings } from "../motif/drawing";
import { RuleTrouble } from "../rules/ruleTrouble";
import type { PartGeometry } from "./scene";

/** A part's copies joined as it asks; null where they stay as they are. `onSheet` sees other parts on the sheet. */
export function joinedCopies(
  { join, at, finish }: Pick<ResolvedPart, "join" | "at" | "finish">,
  copies: PartGeometry["copies"],
  onSheet: Surroundings,
): JoinedCopies | null {
  const { mode, dropDoubled, paint, cutBy, inside } = join;
  const kept = inside === null ? null : inside === SHEET ? onSheet.sheet() : (onSheet.areaOf(inside) ?? []);
  const taken = cutBy.flatMap((id) => onSheet.areaOf(id) ?? []);
  const limits = { taken: taken.length > 0 ? areaWithin(taken) : null, kept: kept && areaWithin(kept) };
  const weave = { gap: join.gap, flipped: join.flipped, ...bandOf(finish) };
  const asked: JoinAsked = { mode, dropDoubled, paint, limits, centre: apply(at, ORIGIN), weave, offset: join.offset };
  if (!isJoined(asked)) return null;
  const most = mode === "weave" ? MOST_WOVEN : mode === "faces" || dropDoubled ? MOST_FACED : MOST_UNITED;
  const { count } = copies.placements;
  if (count > most) {
    const told = `joins ${count.toLocaleString("en")} copies; at most ${most.toLocaleString("en")} can be joined so`;
    throw new RuleTrouble("join", told);
  }
  return joinCopies(copies, asked);
}

/** What of a finish gives a weave its bands: everything but colours. */
export function bandOf({ fill, line }: ResolvedPart["finish"]): { filled: boolean; line: LineShape | null } {
  if (!line) return { filled: fill !== null, line: null };
  const { paint: _colors, ...shape } = line;
  return { filled: fill !== null, line: shape };
}
