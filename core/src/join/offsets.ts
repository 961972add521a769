import { offsetPath } from "../geometry/offset/offset";
import { areaOfPath, type Path } from "../geometry/path";
import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
import type { Offset } from "./offsetFields";
import { inPlaceOf } from "./inPlace";

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
  return {
    shapes: kept.map(({ shape }) => shape),
    placements: inPlaceOf(
      placements,
      Uint32Array.from(kept, ({ copy }) => copy),
    ),
  };
}

function isNothing(path: Path): boolean {
  return path.length === 0 || (path.every(({ closed }) => closed) && Math.abs(areaOfPath(path)) < 1e-9);
}
