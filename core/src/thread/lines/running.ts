import { distanceToChord } from "../../geometry/chordDistance";
import type { Point } from "../../geometry/point";
import { pointsAlong } from "../along";
import type { Course } from "../course";
import { defineLineStitch } from "./definition";

/** A stitch stays so near to the line it follows, millimetres. */
export const BESIDE = 0.1;

/** Point after point along a line, once, there and back, or each stitch three times. */
export const running = defineLineStitch({
  kind: "running",
  fields: ["times", "length"],
  width: () => 0,
  pointsTo: ({ length, times }) => times / length,
  sew(course, { length, times }) {
    const points = runningPoints(course, length);
    if (times === 2) return [...points, ...points.toReversed().slice(1)];
    if (times < 3) return points;
    return points.flatMap((point, k) => {
      const before = points[k - 1];
      return before ? [point, before, point] : [point];
    });
  },
});

/** Needle points along a course, divided evenly between its corners, closer together where it bends more than they may leave it. */
export function runningPoints(course: Course, length: number): Point[] {
  const points: Point[] = [];
  course.corners.forEach((corner, index) => {
    const next = course.corners[index + 1];
    if (next === undefined || next <= corner) return;
    const stretch = {
      points: course.points.slice(corner, next + 1),
      along: course.along.slice(corner, next + 1),
    };
    const from = points.length === 0 ? 0 : 1;
    for (const point of stretchPoints(stretch, length).slice(from)) points.push(point);
  });
  return points;
}

type Stretch = Pick<Course, "points" | "along">;

function stretchPoints(stretch: Stretch, length: number): Point[] {
  const pace = paceOf(stretch, length);
  const total = pace.at(-1) ?? 0;
  const least = (stretch.along.at(-1) ?? 0) - (stretch.along[0] ?? 0);
  const bends = total > least / length + 1e-6;
  let count = Math.max(1, bends ? Math.ceil(total - 1e-6) : Math.round(total));
  for (let round = 0; round < 6; round++) {
    const places = Array.from({ length: count + 1 }, (_, k) => (total * k) / count);
    const points = pointsAlong(stretch.points, pace, places);
    if (staysBeside(stretch.points, pace, points, places)) return points;
    count = Math.ceil(count * 1.4);
  }
  return [...stretch.points];
}

/** How many stitches there are up to each point: a stitch on a circle of radius r leaves it by a quarter of length² ÷ 2r. */
function paceOf({ points, along }: Stretch, length: number): number[] {
  const pace = [0];
  for (let k = 1; k < points.length; k++) {
    const piece = (along[k] ?? 0) - (along[k - 1] ?? 0);
    const turn = (Math.abs(turnAt(points, k - 1)) + Math.abs(turnAt(points, k))) / 2;
    const bent = turn > 0 ? Math.sqrt((8 * BESIDE * piece) / turn) : Infinity;
    pace.push((pace[k - 1] ?? 0) + piece / Math.min(length, bent));
  }
  return pace;
}

/** By how much a row of points turns at one of them, radians. */
function turnAt(points: readonly Point[], k: number): number {
  const [a, b, c] = [points[k - 1], points[k], points[k + 1]];
  if (!a || !b || !c) return 0;
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
}

function staysBeside(
  course: readonly Point[],
  pace: readonly number[],
  points: readonly Point[],
  places: readonly number[],
): boolean {
  let stitch = 0;
  return course.every((point, k) => {
    while (stitch < places.length - 2 && (places[stitch + 1] ?? 0) < (pace[k] ?? 0)) stitch += 1;
    const [from, to] = [points[stitch], points[stitch + 1]];
    return !from || !to || distanceToChord(point, from, to) <= BESIDE;
  });
}
