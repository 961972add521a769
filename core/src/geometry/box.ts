import type { Point } from "./point";

/** An upright rectangle in millimetres. */
export interface Box {
  /** Least x. */
  readonly left: number;
  /** Least y. */
  readonly top: number;
  /** Greatest x. */
  readonly right: number;
  /** Greatest y. */
  readonly bottom: number;
}

/** The box around nothing: joining it to any box gives that box. */
export const EMPTY_BOX: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };

/** Whether a box holds nothing, not even a point. */
export function isEmpty(box: Box): boolean {
  return box.left > box.right || box.top > box.bottom;
}

/** The least box that holds two others. */
export function joinBoxes(a: Box, b: Box): Box {
  return {
    left: Math.min(a.left, b.left),
    top: Math.min(a.top, b.top),
    right: Math.max(a.right, b.right),
    bottom: Math.max(a.bottom, b.bottom),
  };
}

/** The box around points. */
export function boxOfPoints(points: Iterable<Point>): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return { left, top, right, bottom };
}

/** Whether two boxes have a point in common. */
export function meets(a: Box, b: Box): boolean {
  return a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;
}

/** A box grown to every side, millimetres. */
export function growBox(box: Box, by: number): Box {
  return { left: box.left - by, top: box.top - by, right: box.right + by, bottom: box.bottom + by };
}

/** The point at shares (0…1) across and down a box; the origin when the box is empty. */
export function placeInBox(box: Box, share: Point): Point {
  if (isEmpty(box)) return { x: 0, y: 0 };
  return {
    x: box.left + (box.right - box.left) * share.x,
    y: box.top + (box.bottom - box.top) * share.y,
  };
}

/** How far the furthest corner of a box is from a point; `least` where the box is empty or nearer. */
export function reachFrom({ left, top, right, bottom }: Box, point: Point, least: number): number {
  const reach = Math.hypot(Math.max(point.x - left, right - point.x), Math.max(point.y - top, bottom - point.y));
  return Number.isFinite(reach) ? Math.max(least, reach) : least;
}

/** The corners of a box: those on the left first, upper before lower. */
export function cornersOf({ left, top, right, bottom }: Box): Point[] {
  return [left, right].flatMap((x) => [top, bottom].map((y) => ({ x, y })));
}
