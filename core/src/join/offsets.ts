import { at } from "../geometry/at";
import { offsetPath } from "../geometry/offset/offset";
import { areaOfPath, type Path } from "../geometry/path";
import type { Shape } from "../rules/shape";
import type { Offset } from "./offsetFields";
import { inPlaceOf } from "./inPlace";
import type { JoinedCopies } from "./joined";

type Placed = Pick<JoinedCopies, "shapes" | "placements" | "sizes">;

/**
 * Outlines that stand on the sheet with those beside them, the largest first, so that the smaller lie on top. Those
 * that have shrunk to nothing are left out.
 */
export function withOffsets({ shapes, placements, sizes }: Placed, { by, times, corners, keep }: Offset): Placed {
  const levels = Array.from({ length: times }, (_, k) =>
    shapes.map(({ path }): Shape => ({ path: offsetPath(path, by * (k + 1), corners), pieces: null })),
  );
  const own = keep ? [[...shapes]] : [];
  const ordered = by > 0 ? [...levels.reverse(), ...own] : [...own, ...levels];
  const made = ordered.flatMap((level) => level.map((shape, copy) => ({ shape, copy })));
  const kept = made.filter(({ shape }) => !isNothing(shape.path));
  const copies = Uint32Array.from(kept, ({ copy }) => copy);
  return {
    shapes: kept.map(({ shape }) => shape),
    placements: inPlaceOf(placements, copies),
    sizes: sizes && Float64Array.from(copies, (copy) => at(sizes, copy)),
  };
}

function isNothing(path: Path): boolean {
  return path.length === 0 || (path.every(({ closed }) => closed) && Math.abs(areaOfPath(path)) < 1e-9);
}
