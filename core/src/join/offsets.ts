import { offsetPath, type OffsetCorners } from "../geometry/offset/offset";
import { areaOfPath, type Path } from "../geometry/path";
import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
import { standing } from "./standing";

/** Outlines beside an outline: how far apart (millimetres, inwards below 0), how many, and whether the first stays. */
export interface Offset {
  readonly by: number;
  readonly times: number;
  readonly corners: OffsetCorners;
  readonly keep: boolean;
}

interface Placed {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
}

/**
 * Outlines that stand on the sheet with those beside them, the largest first, so that the smaller lie on top. Those
 * that have shrunk to nothing are left out.
 */
export function withOffsets({ shapes, placements }: Placed, { by, times, corners, keep }: Offset): Placed {
  const levels = Array.from({ length: times }, (_, k) =>
    shapes.map(({ path }): Shape => ({ path: offsetPath(path, by * (k + 1), corners), pieces: null })),
  );
  const own = keep ? [[...shapes]] : [];
  const ordered = by > 0 ? [...levels.reverse(), ...own] : [...own, ...levels];
  const made = ordered.flatMap((level) => level.map((shape, copy) => ({ shape, copy })));
  const kept = made.filter(({ shape }) => !isNothing(shape.path));
  const picked = (values: Float64Array | null) => values && Float64Array.from(kept, ({ copy }) => values[copy] ?? 0);
  return {
    shapes: kept.map(({ shape }) => shape),
    placements: {
      ...standing(kept.length),
      opacity: picked(placements.opacity),
      paint: picked(placements.paint),
    },
  };
}

function isNothing(path: Path): boolean {
  return path.length === 0 || (path.every(({ closed }) => closed) && Math.abs(areaOfPath(path)) < 1e-9);
}
