import { distance, between, type Point } from "../../geometry/point";
import { evenPlaces, pointsAlong } from "../along";
import { rowPlaces } from "../rowPlaces";
import { defineLineStitch, type Limits } from "./definition";
import { railsOf, type Rails } from "./rails";

/** Where the inner side of a bend has less than this share of the outer side's room, every second stitch is shortened. */
const CROWDED = 0.5;
/** By which share of the width. */
const SHORTENED = 0.35;

/** To and fro across a band. */
export const satin = defineLineStitch({
  kind: "satin",
  fields: ["width", "spacing", "place"],
  width: ({ width }) => width,
  // A wide band is crossed in several stitches.
  pointsTo: ({ width, spacing }, { longest }) => (2 / spacing) * Math.max(1, width / longest),
  sew(course, { width, spacing }, limits) {
    const band = railsOf(course, width / 2 + limits.pull, spacing);
    const points = band.flatMap((rails) => across(rails, spacing, limits));
    const [start, end] = [course.points[0], course.points.at(-1)];
    return [...(start ? [start] : []), ...points, ...(end ? [end] : [])];
  },
});

/** Needle points across a band: on either side in turn, as far apart on the longer side as the spacing says. */
function across({ left, right }: Rails, spacing: number, { longest, shortest }: Limits): Point[] {
  const pace = [0];
  const ratios: { readonly left: number; readonly right: number }[] = [];
  for (let k = 1; k < left.length; k++) {
    const [l, r] = [stepOf(left, k), stepOf(right, k)];
    const most = Math.max(l, r, 1e-12);
    pace.push((pace[k - 1] ?? 0) + most);
    ratios.push({ left: l / most, right: r / most });
  }
  const total = pace.at(-1) ?? 0;
  const count = Math.max(1, Math.round(total / spacing));
  const places = evenPlaces(0, total, 2 * count);
  const [onLeft, onRight] = [pointsAlong(left, pace, places), pointsAlong(right, pace, places)];
  const points: Point[] = [];
  let piece = 0;
  places.forEach((place, k) => {
    while (piece < ratios.length - 1 && (pace[piece + 1] ?? 0) < place) piece += 1;
    const isLeft = k % 2 === 0;
    const [own, other] = isLeft ? [onLeft[k], onRight[k]] : [onRight[k], onLeft[k]];
    if (!own || !other) return;
    const room = ratios[piece]?.[isLeft ? "left" : "right"] ?? 1;
    const isShortened = room < CROWDED && k % 4 >= 2;
    const point = isShortened ? between(own, other, SHORTENED) : own;
    const last = points.at(-1);
    // A wide band is crossed in several stitches, whose points must not stand in a row.
    const whole = last ? distance(last, point) : 0;
    for (const at of rowPlaces(whole, longest, (k % 3) / 3, shortest)) {
      if (last) points.push(between(last, point, at / whole));
    }
    points.push(point);
  });
  return points;
}

function stepOf(points: readonly Point[], k: number): number {
  const [a, b] = [points[k - 1], points[k]];
  return a && b ? distance(a, b) : 0;
}
