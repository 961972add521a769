import { sizingMatrices, unsized } from "../rules/standing";
import type { Bands } from "./bands";
import type { JoinAsked } from "./definition";
import type { Composed, JoinedCopies } from "./joined";
import type { ResolvedJoin } from "./joinFields";
import { cutAs } from "./joinLimits";
import { joinOf } from "./list";
import { withOffsets } from "./offsets";

/** Whether a join changes anything; `isLimited` where other parts take something away or keep it. */
export function isJoined(
  { mode, dropDoubled, offset }: Pick<ResolvedJoin, "mode" | "dropDoubled" | "offset">,
  isLimited: boolean,
): boolean {
  return !joinOf(mode).leavesCopies || dropDoubled || isLimited || offset !== null;
}

/** Joins copies. The geometry engine must have been loaded. */
export function joinCopies(composed: Composed, join: ResolvedJoin, asked: JoinAsked): JoinedCopies {
  const definition = joinOf(join.mode);
  const joined = definition.join(composed, join, asked);
  return asLarge(join.offset && definition.takesOffset ? { ...joined, ...withOffsets(joined, join.offset) } : joined);
}

/** What was one copy is painted with a line as wide as that copy's, whatever the join has cut. */
function asLarge(joined: JoinedCopies): JoinedCopies {
  const { shapes, placements, sizes } = joined;
  if (!sizes || sizes.every((size) => size === 1)) return joined;
  return {
    ...joined,
    shapes: unsized(shapes, sizes),
    placements: { ...placements, matrices: sizingMatrices(sizes) },
  };
}

/** What of a join tells geometries apart. Colours are left out: a new one computes nothing again. */
export function joinKey(join: ResolvedJoin, bands: Bands): string {
  const { mode, with: others, cutBy, inside, dropDoubled, offset } = join;
  const cut = cutBy.length > 0 || inside !== null ? cutAs(bands) : null;
  return JSON.stringify([mode, others, cutBy, inside, dropDoubled, offset, cut, joinOf(mode).geometryKey(join, bands)]);
}
