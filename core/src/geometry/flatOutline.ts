import { at } from "./at";
import { boxOfPoints, type Box } from "./box";
import type { Point } from "./point";

/** Chords are looked at in stretches of so many: a stretch that is far as a whole is passed. */
const STRETCH = 16;
/** Farther than anything. */
const NOTHING_NEAR = Infinity;
const { ceil, min, sqrt } = Math;

interface Stretch {
  /** x and y of the points its chords run through. */
  readonly through: Float64Array;
  readonly box: Box;
  /** Whether it bounds an area. */
  readonly isBound: boolean;
}

/** An outline of chords in flat arrays, which tells distances an order of magnitude quicker than points do. Millimetres. */
export interface FlatOutline {
  /** x and y of its points, and of others that stand for it. */
  readonly points: Float64Array;
  /** Its chords. */
  readonly stretches: readonly Stretch[];
  /** The box of its points. */
  readonly box: Box;
}

/** One run of an outline as points; a closed one ends where it began. */
export interface FlatRun {
  /** Millimetres. */
  readonly points: readonly Point[];
  /** Whether it bounds an area. */
  readonly closed: boolean;
}

/** An outline ready to be measured. */
export function flatOutline(runs: readonly FlatRun[]): FlatOutline {
  const all = runs.flatMap(({ points }) => points);
  return {
    points: flat(all),
    stretches: runs.flatMap(({ points, closed }) => stretchesOf(points, closed)),
    box: boxOfPoints(all),
  };
}

/** The same with one more point that stands for it. */
export function withPoint(outline: FlatOutline, { x, y }: Point): FlatOutline {
  const points = new Float64Array(outline.points.length + 2);
  points.set(outline.points);
  points.set([x, y], outline.points.length);
  return { ...outline, points };
}

function flat(points: readonly Point[]): Float64Array {
  const through = new Float64Array(2 * points.length);
  points.forEach(({ x, y }, k) => {
    through[2 * k] = x;
    through[2 * k + 1] = y;
  });
  return through;
}

function stretchesOf(points: readonly Point[], isBound: boolean): Stretch[] {
  return Array.from({ length: ceil((points.length - 1) / STRETCH) }, (_, k) => {
    const own = points.slice(k * STRETCH, (k + 1) * STRETCH + 1);
    return { through: flat(own), box: boxOfPoints(own), isBound };
  });
}

/**
 * The least distance of one outline's points from the other's chords; of a point within the other's area it counts as
 * negative. What is at least `most` is not looked for. `widened` may change what a point's distance counts as.
 */
export function leastBetween(
  a: FlatOutline,
  b: FlatOutline,
  most = NOTHING_NEAR,
  widened: (x: number, y: number, gap: number) => number = (_x, _y, gap) => gap,
): number {
  const least = leastFrom(a, b, most, widened);
  return min(least, leastFrom(b, a, min(least, most), widened));
}

function leastFrom(
  { points }: FlatOutline,
  to: FlatOutline,
  most: number,
  widened: (x: number, y: number, gap: number) => number,
): number {
  let least = most;
  for (let k = 0; k + 1 < points.length; k += 2) {
    const [x, y] = [points[k] ?? 0, points[k + 1] ?? 0];
    // No place of the other is nearer than its box.
    if (farFromBox(x, y, to.box) > (least > 0 ? least : 0)) continue;
    const far = distanceTo(x, y, to);
    const gap = widened(x, y, isWithin(x, y, to) ? -far : far);
    if (gap < least) least = gap;
  }
  return least;
}

function distanceTo(x: number, y: number, { stretches }: FlatOutline): number {
  let least = NOTHING_NEAR;
  for (let k = 0; k < stretches.length; k++) {
    const { through, box } = at(stretches, k);
    const far = farFromBox(x, y, box) < least ? distanceToRun(x, y, through) : least;
    if (far < least) least = far;
  }
  return least;
}

function distanceToRun(x: number, y: number, through: Float64Array): number {
  let least = NOTHING_NEAR;
  for (let k = 0; k + 3 < through.length; k += 2) {
    const ax = (through[k] ?? 0) - x;
    const ay = (through[k + 1] ?? 0) - y;
    const dx = (through[k + 2] ?? 0) - x - ax;
    const dy = (through[k + 3] ?? 0) - y - ay;
    const length = dx * dx + dy * dy;
    const foot = length === 0 ? 0 : -(ax * dx + ay * dy) / length;
    const share = foot < 0 ? 0 : foot > 1 ? 1 : foot;
    const px = ax + dx * share;
    const py = ay + dy * share;
    const far = px * px + py * py;
    if (far < least) least = far;
  }
  return sqrt(least);
}

/** Whether a point is within the area of an outline. */
export function isWithin(x: number, y: number, { box, stretches }: FlatOutline): boolean {
  if (farFromBox(x, y, box) > 0) return false;
  let winding = 0;
  for (let k = 0; k < stretches.length; k++) {
    const { through, box: around, isBound } = at(stretches, k);
    const isPassed = !isBound || around.right < x || around.top > y || around.bottom < y;
    if (!isPassed) winding += windingOfRun(x, y, through);
  }
  return winding !== 0;
}

/** How often a run crosses the level line to the right of a point, down +1 and up −1. */
function windingOfRun(x: number, y: number, through: Float64Array): number {
  let winding = 0;
  for (let k = 0; k + 3 < through.length; k += 2) {
    const ay = through[k + 1] ?? 0;
    const by = through[k + 3] ?? 0;
    if (ay <= y === by <= y) continue;
    const ax = through[k] ?? 0;
    if (ax + ((y - ay) / (by - ay)) * ((through[k + 2] ?? 0) - ax) <= x) continue;
    winding += by > ay ? 1 : -1;
  }
  return winding;
}

/** Whether chords of two outlines cross. */
export function areCrossing(a: FlatOutline, b: FlatOutline): boolean {
  return a.stretches.some((one) =>
    b.stretches.some((other) => boxGap(one.box, other.box) === 0 && areRunsCrossing(one.through, other.through)),
  );
}

function areRunsCrossing(a: Float64Array, b: Float64Array): boolean {
  for (let i = 0; i + 3 < a.length; i += 2) {
    for (let k = 0; k + 3 < b.length; k += 2) {
      const apart = sideOf(a, i, b[k] ?? 0, b[k + 1] ?? 0) * sideOf(a, i, b[k + 2] ?? 0, b[k + 3] ?? 0) < 0;
      if (apart && sideOf(b, k, a[i] ?? 0, a[i + 1] ?? 0) * sideOf(b, k, a[i + 2] ?? 0, a[i + 3] ?? 0) < 0) return true;
    }
  }
  return false;
}

/** On which side of a chord a point is: by the sign. */
function sideOf(through: Float64Array, k: number, x: number, y: number): number {
  const [ax, ay] = [through[k] ?? 0, through[k + 1] ?? 0];
  return ((through[k + 2] ?? 0) - ax) * (y - ay) - ((through[k + 3] ?? 0) - ay) * (x - ax);
}

function farFromBox(x: number, y: number, { left, top, right, bottom }: Box): number {
  const across = x < left ? left - x : x > right ? x - right : 0;
  const down = y < top ? top - y : y > bottom ? y - bottom : 0;
  return across === 0 ? down : down === 0 ? across : sqrt(across * across + down * down);
}

/** How far two boxes are apart; 0 where they overlap. */
export function boxGap(a: Box, b: Box): number {
  const across = a.left > b.right ? a.left - b.right : b.left > a.right ? b.left - a.right : 0;
  const down = a.top > b.bottom ? a.top - b.bottom : b.top > a.bottom ? b.top - a.bottom : 0;
  return across === 0 ? down : down === 0 ? across : sqrt(across * across + down * down);
}
