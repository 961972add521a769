import { curvatureAt, tangentAt } from "../cubic";
import { nodeLengths } from "../pathLength";
import { segmentsOf, type Subpath } from "../path";
import type { Point } from "../point";

/** A stretch of a run without corners. Millimetres along the run. */
export interface SmoothRun {
  /** Where it begins, millimetres along the line. */
  readonly from: number;
  /** Where it ends, millimetres along the line. */
  readonly to: number;
  /** Lengths from its start to its end between which the run hardly turns. */
  readonly stops: readonly number[];
}

/** Directions that differ by more are a corner, radians. */
const CORNER = 0.02;
/** A stretch between two stops turns by no more than this, radians. */
const TURN = Math.PI / 16;
/** Stops of one segment. */
const MOST_STOPS = 64;

/** A run cut at its corners. */
export function smoothRuns(subpath: Subpath): SmoothRun[] {
  const segments = segmentsOf(subpath);
  const nodes = nodeLengths(subpath);
  const runs: { from: number; to: number; stops: number[] }[] = [];
  segments.forEach((segment, index) => {
    const [from, to] = [nodes[index] ?? 0, nodes[index + 1] ?? 0];
    if (to - from < 1e-9) return;
    const before = segments[index - 1];
    const count = stopsNeeded(
      [0.02, 0.25, 0.5, 0.75, 0.98].map((t) => curvatureAt(segment, t)),
      to - from,
    );
    const stops = Array.from({ length: count }, (_, k) => from + ((to - from) * (k + 1)) / count);
    const last = runs.at(-1);
    if (last && before && angleBetween(tangentAt(before, 1), tangentAt(segment, 0)) < CORNER) {
      last.stops.push(...stops);
      last.to = to;
    } else runs.push({ from, to, stops: [from, ...stops] });
  });
  return runs;
}

function stopsNeeded(curvatures: readonly number[], length: number): number {
  const sharpest = curvatures.reduce((most, curvature) => Math.max(most, Math.abs(curvature)), 0);
  return Math.min(MOST_STOPS, Math.max(1, Math.ceil((sharpest * length) / TURN)));
}

/** The angle between two directions, radians, 0…π. */
export function angleBetween(a: Point, b: Point): number {
  return Math.abs(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y));
}
