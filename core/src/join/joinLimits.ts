import type { Area } from "../geometry/area";
import { clipLines } from "../geometry/arrangement/lines";
import { combine } from "../geometry/boolean/boolean";
import type { FillRule, Operation } from "../geometry/boolean/operation";
import { isEmpty } from "../geometry/box";
import { boxOfPath, type Path } from "../geometry/path";

/** The areas that take something away, and the one that keeps; null where there is none. */
export interface JoinLimits {
  /** Areas that are cut out; null for none. */
  readonly taken: Area | null;
  /** The area outside which nothing stays; null for all. */
  readonly kept: Area | null;
}

/** Nothing taken, nothing kept. */
export const NO_JOIN_LIMITS: JoinLimits = { taken: null, kept: null };

/** An outline within its limits: areas cut as areas, lines as lines, curves kept. One that no limit divides stays itself. */
export function withinLimits(path: Path, { taken, kept }: JoinLimits, rule: FillRule = "nonzero"): Path {
  const left = taken ? divided(path, taken, "outside", rule) : path;
  return kept ? divided(left, kept, "inside", rule) : left;
}

function divided(path: Path, limit: Area, keep: "inside" | "outside", rule: FillRule): Path {
  const box = boxOfPath(path);
  if (isEmpty(box)) return path;
  if (!limit.bounds(box)) return limit.contains({ x: box.left, y: box.top }) === (keep === "inside") ? path : [];
  const operation: Operation = keep === "inside" ? "intersection" : "difference";
  const areas = path.filter(({ closed }) => closed);
  const lines = path.filter(({ closed }) => !closed);
  return [
    ...(areas.length > 0 ? combine([areas, limit.path], operation, rule) : []),
    ...(lines.length > 0 ? clipLines(lines, limit, keep) : []),
  ];
}
