import { between, type Point } from "../geometry/point";

/**
 * Points at places along a row of points, the places given ascending in the same measure as `along`, which says where
 * each point stands.
 */
export function pointsAlong(points: readonly Point[], along: readonly number[], places: readonly number[]): Point[] {
  let k = 1;
  return places.flatMap((place) => {
    while (k < points.length - 1 && (along[k] ?? 0) < place) k += 1;
    const [from, to] = [points[k - 1], points[k]];
    if (!from || !to) return from ?? to ?? [];
    const [low, high] = [along[k - 1] ?? 0, along[k] ?? 0];
    return [between(from, to, high > low ? Math.min(1, Math.max(0, (place - low) / (high - low))) : 0)];
  });
}

/** Places dividing a length evenly into a count, both ends among them. */
export function evenPlaces(from: number, to: number, count: number): number[] {
  return Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
}
