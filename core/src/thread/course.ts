import { chordsNeeded } from "../geometry/flatten";
import { isStraight, pointAt, tangentAt } from "../geometry/cubic";
import { segmentsOf, type Path, type Subpath } from "../geometry/path";
import { distance, type Point } from "../geometry/point";

/** A run as thread follows it: points so near that the chords between them stand for it. Millimetres. */
export interface Course {
  /** Along the run; the last is the first again where it is closed. */
  readonly points: readonly Point[];
  /** How far along the run each point is. */
  readonly along: readonly number[];
  /** The numbers of the points at which the run turns sharply, the first and the last among them. */
  readonly corners: readonly number[];
  /** Whether it ends where it begins. */
  readonly closed: boolean;
}

/** Chords stay so near to curves, millimetres. */
export const FINE = 0.01;
/** A run that turns by less than this goes on smoothly: the cosine of 10°. */
const SMOOTH = Math.cos(Math.PI / 18);

/** A run as thread follows it; null where it goes nowhere. */
export function courseOf(run: Subpath): Course | null {
  const segments = segmentsOf(run);
  const points: Point[] = [];
  const corners: number[] = [0];
  segments.forEach((segment, index) => {
    if (index === 0) points.push(segment[0]);
    const chords = isStraight(segment) ? 1 : chordsNeeded(segment, FINE);
    for (let k = 1; k <= chords; k++) points.push(pointAt(segment, k / chords));
    const next = segments[index + 1];
    if (!next) return;
    const [a, b] = [tangentAt(segment, 1), tangentAt(next, 0)];
    if (a.x * b.x + a.y * b.y < SMOOTH) corners.push(points.length - 1);
  });
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  if (run.closed && distance(first, last) > 1e-6) {
    corners.push(points.length - 1);
    points.push(first);
  }
  return courseThrough(points, corners, run.closed);
}

/** A course through points, corners being among them. */
export function courseThrough(points: readonly Point[], corners: readonly number[], closed: boolean): Course | null {
  const along = [0];
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [points[k - 1], points[k]];
    along.push((along[k - 1] ?? 0) + (a && b ? distance(a, b) : 0));
  }
  if ((along.at(-1) ?? 0) < 1e-6) return null;
  return { points, along, corners: [...new Set([...corners, points.length - 1])], closed };
}

/** All runs of a path as thread follows them. */
export function coursesOf(path: Path): Course[] {
  return path.flatMap((run) => courseOf(run) ?? []);
}

/** A course through places in a row, those at which it turns sharply (by more than about 30°) being corners. */
export function courseOver(places: readonly Point[]): Course | null {
  const points = places.filter((point, k) => {
    const before = places[k - 1];
    return !before || distance(before, point) > 1e-9;
  });
  return courseThrough(points, sharpTurns(points), false);
}

function sharpTurns(points: readonly Point[]): number[] {
  const turns = [0];
  points.forEach((b, k) => {
    const [a, c] = [points[k - 1], points[k + 1]];
    if (!a || !c) return;
    const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    if (ux * vx + uy * vy < 0.87 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) turns.push(k);
  });
  return turns;
}
