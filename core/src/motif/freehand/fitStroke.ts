import fitCurve from "fit-curve";
import { distanceToChord } from "../../geometry/chordDistance";
import { distance, type Point } from "../../geometry/point";
import { flattenPath } from "../../geometry/flatten";
import { subpathOf } from "../../geometry/path";
import type { Cubic } from "../../geometry/cubic";
import { drawnOfPath } from "../drawn/drawnPath";
import type { DrawnPath } from "../drawn/nodes";

const ROUNDS = 8;

/**
 * A stroke's points as one open drawn run of few nodes, no point farther from it than the tolerance
 * (millimetres). The fit is Schneider's; its own error is squared and measured at the points' parameters,
 * so the distance is measured here and the fit made finer until it holds.
 */
export function fitStroke(points: readonly Point[], tolerance: number): DrawnPath | null {
  const distinct = points.filter((point, index) => index === 0 || distance(point, points[index - 1] ?? point) > 1e-9);
  if (distinct.length < 2) return null;
  let error = tolerance * tolerance;
  for (let round = 0; round < ROUNDS; round++) {
    const segments = fit(distinct, error);
    if (farthestOff(distinct, segments, tolerance) <= tolerance) return runOf(segments);
    error /= 4;
  }
  return runOf(distinct.slice(1).map((end, k): Cubic => [distinct[k] ?? end, distinct[k] ?? end, end, end]));
}

function runOf(segments: readonly Cubic[]): DrawnPath | null {
  return drawnOfPath([subpathOf(segments, false)])[0] ?? null;
}

function fit(points: readonly Point[], error: number): Cubic[] {
  const curves = fitCurve(
    points.map(({ x, y }) => [x, y]),
    error,
  );
  const pointOf = (point: readonly number[] | undefined): Point => ({ x: point?.[0] ?? 0, y: point?.[1] ?? 0 });
  return curves.map(([a, b, c, d]): Cubic => [pointOf(a), pointOf(b), pointOf(c), pointOf(d)]);
}

/** The greatest distance of the points from the curve, millimetres. */
export function farthestOff(points: readonly Point[], segments: readonly Cubic[], tolerance: number): number {
  const [line = []] = flattenPath([subpathOf(segments, false)], tolerance / 50);
  let farthest = 0;
  for (const point of points) {
    let nearest = Infinity;
    for (let k = 1; k < line.length; k++) {
      const [start, end] = [line[k - 1], line[k]];
      if (start && end) nearest = Math.min(nearest, distanceToChord(point, start, end));
    }
    farthest = Math.max(farthest, nearest);
  }
  return farthest;
}
