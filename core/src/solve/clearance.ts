import { at } from "../geometry/at";
import { boxOfPoints, type Box } from "../geometry/box";
import { flattenPath } from "../geometry/flatten";
import { boxOfPath, segmentsOf, transformPath, type Path } from "../geometry/path";
import { distance, type Point } from "../geometry/point";
import { shapeOfCopy } from "../rules/copyOutlines";
import { once } from "../geometry/once";
import { matrixAt } from "../rules/placements";
import type { PartGeometry } from "../scene/scene";

/** Outlines are looked at by chords true to this share of their size; to tell the tightest pairs, by coarser ones. */
const FINE = 1 / 40_000;
const COARSE = 1 / 500;
/** Between two points of an outline lies at most this share of its size. */
const STEP = 1 / 60;
/** Copies looked at: the first ones stand for the others. */
const MOST = 120;
/** Pairs that are looked at by fine chords. */
const TIGHTEST = 3;
/** Outlines share a point where nodes of theirs are nearer than this share of their size. */
const SHARED = 1e-6;
/** Within this share of its size from a shared point a gap counts as wide as it would be there ... */
const REACH = 0.5;
/** ... and within this it is not looked at: what is left of it is lost in the chords. */
const TOO_NEAR = 0.03;

/** Chords are looked at in stretches of so many: a stretch that is far as a whole is passed. */
const STRETCH = 16;

/** Farther than anything. */
const NOTHING_NEAR = Infinity;
const { sqrt } = Math;

interface Stretch {
  /** x and y of the points its chords run through. */
  readonly through: Float64Array;
  readonly box: Box;
  /** Whether it bounds an area. */
  readonly isBound: boolean;
}

interface Copy {
  readonly nodes: readonly Point[];
  readonly points: readonly Point[];
  readonly stretches: readonly Stretch[];
  readonly box: Box;
  readonly size: number;
}

/**
 * The least gap between copies and their nearest neighbours, millimetres; below 0 how deep they lie over each other. Where
 * outlines share a point, such as the foot they are turned about, the gap opens from there: nearer to it than half the copy's
 * size it counts as wide as it would become there. Null where there are not two copies.
 */
export function clearanceOf({ shapes, placements }: Pick<PartGeometry, "shapes" | "placements">): number | null {
  const outlines = Array.from({ length: Math.min(placements.count, MOST) }, (_, copy) =>
    transformPath(shapeOfCopy({ shapes, placements }, copy).path, matrixAt(placements.matrices, copy)),
  );
  const fine = outlines.map((path) => once(() => copyOf(path, FINE)));
  const gaps = tightest(outlines.map((path) => copyOf(path, COARSE))).flatMap(([i, k]) => {
    const [one, other] = [fine[i], fine[k]];
    return one && other ? [gapBetween(one(), other())] : [];
  });
  return gaps.length > 0 ? Math.min(...gaps) : null;
}

/** The pairs of copies that are nearest to each other, as far as coarse chords tell. */
function tightest(copies: readonly Copy[]): (readonly [number, number])[] {
  let pairs: { readonly pair: readonly [number, number]; readonly gap: number }[] = [];
  copies.forEach((one, i) => {
    for (let k = i + 1; k < copies.length; k++) {
      const other = copies[k];
      const most = pairs.length < TIGHTEST ? Infinity : (pairs.at(-1)?.gap ?? Infinity);
      if (!other || isNothing(one) || isNothing(other) || boxGap(one.box, other.box) > Math.max(0, most)) continue;
      pairs = [...pairs, { pair: [i, k] as const, gap: gapBetween(one, other) }]
        .sort((a, b) => a.gap - b.gap)
        .slice(0, TIGHTEST);
    }
  });
  return pairs.map(({ pair }) => pair);
}

const isNothing = ({ points }: Copy) => points.length === 0;

function copyOf(path: Path, share: number): Copy {
  const box = boxOfPath(path);
  const size = Math.max(box.right - box.left, box.bottom - box.top);
  const runs = flattenPath(path, Math.max(1e-7, size * share)).map((points) => inShortSteps(points, size * STEP));
  const own = {
    nodes: path.flatMap((run) => segmentsOf(run).flatMap(([from, , , to]) => [from, to])),
    points: runs.flat(),
    stretches: runs.flatMap((points, run) => stretchesOf(points, path[run]?.closed ?? false)),
    box: boxOfPoints(runs.flat()),
    size,
  };
  // Its middle too: of copies that lie on each other no point of an outline is within the other.
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  return isInside(middle, own) ? { ...own, points: [...own.points, middle] } : own;
}

/** Points with more between those that are far apart: corners alone do not tell where sides cross. */
function inShortSteps(points: readonly Point[], longest: number): Point[] {
  return points.flatMap((to, k) => {
    const from = points[k - 1];
    const steps = from ? Math.max(1, Math.ceil(distance(from, to) / longest)) : 1;
    return Array.from({ length: steps }, (_, step) => {
      const share = (step + 1) / steps;
      return from ? { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share } : to;
    });
  });
}

function stretchesOf(points: readonly Point[], isBound: boolean): Stretch[] {
  return Array.from({ length: Math.ceil((points.length - 1) / STRETCH) }, (_, k) => {
    const own = points.slice(k * STRETCH, (k + 1) * STRETCH + 1);
    return { through: Float64Array.from(own.flatMap(({ x, y }) => [x, y])), box: boxOfPoints(own), isBound };
  });
}

function gapBetween(a: Copy, b: Copy): number {
  const size = Math.max(a.size, b.size);
  const shared = a.nodes.filter((node) => b.nodes.some((other) => distance(node, other) < size * SHARED));
  const widened = (point: Point, gap: number) => {
    if (shared.length === 0) return gap;
    const far = shared.reduce((least, own) => Math.min(least, distance(point, own)), NOTHING_NEAR);
    if (far < size * TOO_NEAR) return NOTHING_NEAR;
    return far < size * REACH ? (gap * size * REACH) / far : gap;
  };
  return Math.min(leastFrom(a, b, widened), leastFrom(b, a, widened));
}

function leastFrom(a: Copy, b: Copy, widened: (point: Point, gap: number) => number): number {
  let least = NOTHING_NEAR;
  for (const point of a.points) {
    // No place of the other is nearer than its box.
    if (farFromBox(point, b.box) > (least > 0 ? least : 0)) continue;
    const far = distanceTo(point, b);
    const gap = widened(point, isInside(point, b) ? -far : far);
    if (gap < least) least = gap;
  }
  return least;
}

function distanceTo(point: Point, { stretches }: Copy): number {
  let least = NOTHING_NEAR;
  for (const { through, box } of stretches) {
    const far = farFromBox(point, box) < least ? distanceToRun(point, through) : least;
    if (far < least) least = far;
  }
  return least;
}

function distanceToRun({ x, y }: Point, through: Float64Array): number {
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

function isInside(point: Point, { box, stretches }: Copy): boolean {
  if (farFromBox(point, box) > 0) return false;
  let winding = 0;
  for (let k = 0; k < stretches.length; k++) {
    const { through, box: around, isBound } = at(stretches, k);
    const isPassed = !isBound || around.right < point.x || around.top > point.y || around.bottom < point.y;
    if (!isPassed) winding += windingOfRun(point, through);
  }
  return winding !== 0;
}

/** How often a run crosses the level line to the right of a point, down +1 and up −1. */
function windingOfRun({ x, y }: Point, through: Float64Array): number {
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

function farFromBox({ x, y }: Point, { left, top, right, bottom }: Box): number {
  const across = x < left ? left - x : x > right ? x - right : 0;
  const down = y < top ? top - y : y > bottom ? y - bottom : 0;
  return across === 0 ? down : down === 0 ? across : sqrt(across * across + down * down);
}

function boxGap(a: Box, b: Box): number {
  const across = Math.max(0, a.left - b.right, b.left - a.right);
  const down = Math.max(0, a.top - b.bottom, b.top - a.bottom);
  return Math.hypot(across, down);
}
