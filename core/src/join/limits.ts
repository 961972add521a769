import { clipLines } from "../geometry/arrangement/lines";
import { combine } from "../geometry/boolean/boolean";
import type { FillRule } from "../geometry/boolean/operation";
import { boxOfPath, type Path } from "../geometry/path";
import { isEmpty, type Box } from "../geometry/box";

/** The areas that take something away, and the one that keeps; null where nothing limits. */
export interface Limits {
  readonly taken: Path;
  readonly kept: Path | null;
}

/** An outline within its limits: areas cut as areas, lines as lines, curves kept. Outlines beyond reach are left alone. */
export function withinLimits(path: Path, { taken, kept }: Limits, rule: FillRule = "nonzero"): Path {
  let result = path;
  if (taken.length > 0 && meets(result, taken)) {
    result = split(
      result,
      (areas) => combine([areas, taken], "difference", rule),
      (lines) => clipLines(lines, taken, "outside"),
    );
  }
  if (kept) {
    result = split(
      result,
      (areas) => combine([areas, kept], "intersection", rule),
      (lines) => clipLines(lines, kept, "inside"),
    );
  }
  return result;
}

function split(path: Path, ofAreas: (areas: Path) => Path, ofLines: (lines: Path) => Path): Path {
  const areas = path.filter(({ closed }) => closed);
  const lines = path.filter(({ closed }) => !closed);
  return [...(areas.length > 0 ? ofAreas(areas) : []), ...(lines.length > 0 ? ofLines(lines) : [])];
}

function meets(a: Path, b: Path): boolean {
  const [p, q]: [Box, Box] = [boxOfPath(a), boxOfPath(b)];
  if (isEmpty(p) || isEmpty(q)) return false;
  return p.left <= q.right && q.left <= p.right && p.top <= q.bottom && q.top <= p.bottom;
}
