import { number } from "../fields/number";
import { nullable } from "../fields/nullable";
import { nestedMotif } from "../motif/nestedMotif";
import { toggle } from "../fields/toggle";
import { pathsBetween } from "../geometry/between";
import { IDENTITY } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { disc } from "../motif/disc";
import { placedOutline, type PlacedMotif } from "../motif/placedMotif";
import { defineRule } from "./definition";
import { packMatrices } from "./pack";

interface BetweenValues {
  readonly to: PlacedMotif | null;
  readonly count: number;
  readonly ends: boolean;
  readonly ease: number;
}

/** Shapes on the way from the motif to a second one, paint included. */
export const between = defineRule<BetweenValues>({
  kind: "between",
  first: { to: { kind: disc.kind, radius: 4 } },
  fields: {
    to: nullable(nestedMotif),
    count: number("count", 7, { max: 10_000 }),
    /** Whether the motif and the second shape are among them. */
    ends: toggle(true),
    /** Above 0 they crowd towards the motif, below 0 towards the second shape. */
    ease: number("factor", 0, { min: -1, max: 1, step: 0.05 }),
  },
  copies: ({ count }) => count,
  // Its second shape is pulled on the sheet by handles of its own.
  handles: () => [],
  uses: ({ to }) => to?.motif.uses ?? [],
  paintFrom: ({ to }) => to?.motif.paintFrom ?? [],
  needs: ({ to }) => to?.motif.needs ?? {},
  key: ({ to, ...values }) => [values, to?.motif.key, to?.at],
  transforms({ to, count, ends, ease }, group) {
    const target = to ? placedOutline(to, group.surroundings) : [];
    const shareAt = (j: number) => eased(ends ? (count > 1 ? j / (count - 1) : 0) : (j + 1) / (count + 1), ease);
    const known = new Map<Path, (t: number) => Path>();
    const waysFrom = (path: Path) => {
      const way = known.get(path) ?? pathsBetween(path, target.length > 0 ? target : path);
      known.set(path, way);
      return way;
    };
    return {
      matrices: packMatrices(count, () => IDENTITY),
      paint: Float64Array.from({ length: count }, (_, j) => shareAt(j)),
      reshape: { space: "motif", keepsPieces: false, outline: (path, j) => waysFrom(path)(shareAt(j)) },
    };
  },
});

/** t with an exponent from 1 (even) to 3 at one of the ends. */
function eased(t: number, ease: number): number {
  return ease >= 0 ? t ** (1 + 2 * ease) : 1 - (1 - t) ** (1 - 2 * ease);
}
