import { SHEET } from "../fields/partName";
import type { ResolvedPart } from "../design/resolved";
import { areaWithin } from "../geometry/area";
import { apply } from "../geometry/matrix";
import { ORIGIN } from "../geometry/point";
import type { Bands } from "../join/bands";
import { isJoined, joinCopies } from "../join/joinCopies";
import type { JoinedCopies } from "../join/joined";
import { joinOf } from "../join/list";
import type { Surroundings } from "../motif/drawing";
import { Incomputable } from "../formula/incomputable";
import type { PartGeometry } from "./scene";

/** A part's copies joined as it asks; null where they stay as they are. `onSheet` sees other parts on the sheet. */
export function joinedCopies(
  { join, at, finish }: Pick<ResolvedPart, "join" | "at" | "finish">,
  copies: PartGeometry["copies"],
  onSheet: Surroundings,
): JoinedCopies | null {
  const { mode, dropDoubled, cutBy, inside } = join;
  const kept = inside === null ? null : inside === SHEET ? onSheet.sheet() : (onSheet.areaOf(inside) ?? []);
  const taken = cutBy.flatMap((id) => onSheet.areaOf(id) ?? []);
  if (!isJoined(join, taken.length > 0 || kept !== null)) return null;
  checkCount(copies.placements.count, joinOf(mode).most(dropDoubled));
  const limits = { taken: taken.length > 0 ? areaWithin(taken) : null, kept: kept && areaWithin(kept) };
  const others = joinOf(mode).takesOthers ? join.with.map((id) => onSheet.areaOf(id) ?? []) : [];
  const centre = apply(at, ORIGIN);
  return joinCopies(copies, join, { limits, dropDoubled, others, centre, bands: bandsOf(finish) });
}

/** Refuses more copies than can be joined in a way. */
function checkCount(count: number, most: number): void {
  if (count <= most) return;
  const notes = `joins ${count.toLocaleString("en")} copies; at most ${most.toLocaleString("en")} can be joined so`;
  throw new Incomputable("join", notes);
}

/** What of a finish makes copies bands: everything but colours. */
export function bandsOf({ fill, line }: ResolvedPart["finish"]): Bands {
  if (!line) return { filled: fill !== null, line: null };
  const { paint: _colors, ...shape } = line;
  return { filled: fill !== null, line: shape };
}
