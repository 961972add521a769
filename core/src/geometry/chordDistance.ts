import type { Point } from "./point";

/** How far a point is from a straight piece between two others. */
export function distanceToChord(point: Point, start: Point, end: Point): number {
  const dx = end.x - start.x;
  const dy = end.y - start.y;
  const lengthSquared = dx * dx + dy * dy;
  const share = lengthSquared === 0 ? 0 : ((point.x - start.x) * dx + (point.y - start.y) * dy) / lengthSquared;
  const t = Math.min(1, Math.max(0, share));
  const [x, y] = [point.x - start.x - dx * t, point.y - start.y - dy * t];
  return Math.sqrt(x * x + y * y);
}
