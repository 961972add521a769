import type { Area } from "../geometry/area";
import { clipLines } from "../geometry/arrangement/lines";
import { combine } from "../geometry/boolean/boolean";
import type { FillRule, Operation } from "../geometry/boolean/operation";
import { isEmpty } from "../geometry/box";
import { boxOfPath, type Path } from "../geometry/path";
import type { Bands } from "./bands";
import { clipOutlines } from "./outlinesAsLines";

/** The areas that take something away, and the one that keeps; null where there is none. */
export interface JoinLimits {
  /** Areas that are cut out; null for none. */
  readonly taken: Area | null;
  /** The area outside which nothing stays; null for all. */
  readonly kept: Area | null;
}

/** Nothing taken, nothing kept. */
export const NO_JOIN_LIMITS: JoinLimits = { taken: null, kept: null };

/** How an outline is cut: as an area by a rule, or, though it may be closed, as a line. */
export type CutAs = FillRule | "line";

/** An outline within its limits: areas cut as areas, lines as lines, curves kept. One that no limit divides stays itself. */
export function withinLimits(path: Path, { taken, kept }: JoinLimits, as: CutAs = "nonzero"): Path {
  const left = taken ? divided(path, taken, "outside", as) : path;
  return kept ? divided(left, kept, "inside", as) : left;
}

/** Outlines that are only drawn with a line are cut as lines: as areas they would be drawn along the cut, too. */
export function cutAs({ filled, line }: Bands): CutAs {
  return !filled && line ? "line" : "nonzero";
}

/**
 * The same of an outline whose runs neither cross nor lie over each other: those that no limit comes near are not laid out anew,
 * for they decide nothing of what is filled where a limit runs.
 */
export function runsWithinLimits(path: Path, { taken, kept }: JoinLimits, as: CutAs): Path {
  const left = taken ? runsDivided(path, taken, "outside", as) : path;
  return kept ? runsDivided(left, kept, "inside", as) : left;
}

function runsDivided(path: Path, limit: Area, keep: Side, as: CutAs): Path {
  const isNear = path.map((run) => limit.bounds(boxOfPath([run])));
  const apart = path.filter((_, index) => !isNear[index]).flatMap((run) => divided([run], limit, keep, as));
  return [
    ...apart,
    ...divided(
      path.filter((_, index) => isNear[index]),
      limit,
      keep,
      as,
    ),
  ];
}

type Side = "inside" | "outside";

function divided(path: Path, limit: Area, keep: Side, as: CutAs): Path {
  const box = boxOfPath(path);
  if (isEmpty(box)) return path;
  if (!limit.bounds(box)) return limit.contains({ x: box.left, y: box.top }) === (keep === "inside") ? path : [];
  const operation: Operation = keep === "inside" ? "intersection" : "difference";
  if (as === "line") return clipOutlines(path, limit, keep);
  const areas = path.filter(({ closed }) => closed);
  const lines = path.filter(({ closed }) => !closed);
  return [
    ...(areas.length > 0 ? combine([areas, limit.path], operation, as) : []),
    ...(lines.length > 0 ? clipLines(lines, limit, keep) : []),
  ];
}
