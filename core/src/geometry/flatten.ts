import { isStraight, pointAt, type Cubic } from "./cubic";
import { segmentsOf, type Path } from "./path";
import type { Point } from "./point";

/** Chords a segment needs so that none leaves the curve by more than the tolerance (Wang's bound, mm). */
export function chordsNeeded([p0, p1, p2, p3]: Cubic, tolerance: number): number {
  const [ax, ay] = [p0.x - 2 * p1.x + p2.x, p0.y - 2 * p1.y + p2.y];
  const [bx, by] = [p1.x - 2 * p2.x + p3.x, p1.y - 2 * p2.y + p3.y];
  const bend = Math.sqrt(Math.max(ax * ax + ay * ay, bx * bx + by * by));
  return Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance)));
}

/** Every run of a path as points, each chord within `tolerance` millimetres of its curve. */
export function flattenPath(path: Path, tolerance: number): Point[][] {
  return path.map((subpath) => {
    const points: Point[] = [];
    segmentsOf(subpath).forEach((segment, index) => {
      if (index === 0) points.push(segment[0]);
      const chords = isStraight(segment) ? 1 : chordsNeeded(segment, tolerance);
      for (let k = 1; k <= chords; k++) points.push(pointAt(segment, k / chords));
    });
    return points;
  });
}
