import { between, distance, type Point } from "../geometry/point";

/**
 * Needle points between two others, a stitch apart; `phase` (0…1) says where the first stands, by the share of a stitch.
 * None is nearer to an end than the shortest stitch.
 */
export function rowPoints(from: Point, to: Point, stitch: number, phase: number, shortest: number): Point[] {
  const whole = distance(from, to);
  if (whole <= stitch) return [];
  const least = Math.max(shortest, stitch / 8);
  const points: Point[] = [];
  for (let at = stitch * (phase - Math.floor(phase)); at < whole - least; at += stitch) {
    if (at >= least) points.push(between(from, to, at / whole));
  }
  // What is left out at an end may leave a stitch too long there.
  return splitLong(from, points, to, stitch);
}

function splitLong(from: Point, points: readonly Point[], to: Point, stitch: number): Point[] {
  const all = [...points, to];
  return all.flatMap((point, k) => {
    const before = k === 0 ? from : (all[k - 1] ?? from);
    const own = k === all.length - 1 ? [] : [point];
    return distance(before, point) > stitch * 1.0001 ? [between(before, point, 0.5), ...own] : own;
  });
}
