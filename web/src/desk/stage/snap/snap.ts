import { distance, type AnchorValue, type Point } from "@twin-petal/core";

/** A point the hand is drawn to. */
export interface SnapPoint {
  readonly at: Point;
  readonly words: string;
  /** What a measure can hold on to there. */
  readonly anchor?: SnapAnchor;
}

type SnapAnchor = Pick<AnchorValue, "part" | "copy" | "place" | "index">;

/** A line the hand is drawn to: through a point, along a unit vector; of limited length when it is an edge. */
export interface SnapLine {
  readonly through: Point;
  readonly along: Point;
  /** Reach to either side along the vector; absent for a line without ends. */
  readonly reach?: readonly [from: number, to: number];
  readonly words: string;
}

export interface SnapTargets {
  readonly points: readonly SnapPoint[];
  readonly lines: readonly SnapLine[];
  /** Side of the squares of the grid; absent for none. */
  readonly grid?: number;
}

/** Where the hand was drawn to, and by what. */
export interface Snapped {
  readonly point: Point;
  readonly words: string | null;
  /** What a measure can hold on to there. */
  readonly anchor?: SnapAnchor;
}

/** The grid draws less strongly than anything drawn. */
const GRID_SHARE = 0.4;

/**
 * Draws a point to what is nearest within a distance: points first, then where two lines cross, then one
 * line, then the grid. All in one space and unit.
 */
export function snap(point: Point, { points, lines, grid }: SnapTargets, within: number): Snapped {
  const onPoint = nearest(points, ({ at }) => distance(at, point), within);
  if (onPoint) return { point: onPoint.at, words: onPoint.words, ...(onPoint.anchor && { anchor: onPoint.anchor }) };
  const near = lines
    .map((line) => ({ line, foot: footOn(line, point) }))
    .filter(({ foot }) => foot !== null && distance(foot, point) <= within);
  const crossings = near.flatMap(({ line }, index) =>
    near.slice(index + 1).flatMap(({ line: other }) => {
      const at = crossingOf(line, other);
      return at && distance(at, point) <= within ? [{ at, words: `${line.words} × ${other.words}` }] : [];
    }),
  );
  const onCrossing = nearest(crossings, ({ at }) => distance(at, point), within);
  if (onCrossing) return { point: onCrossing.at, words: onCrossing.words };
  const onLine = nearest(near, ({ foot }) => (foot ? distance(foot, point) : Infinity), within);
  if (onLine?.foot) return { point: onLine.foot, words: onLine.line.words };
  if (grid !== undefined) {
    const at = { x: Math.round(point.x / grid) * grid, y: Math.round(point.y / grid) * grid };
    if (distance(at, point) <= within * GRID_SHARE) return { point: at, words: "grid" };
  }
  return { point, words: null };
}

function nearest<T>(items: readonly T[], distanceOf: (item: T) => number, within: number): T | null {
  let best: T | null = null;
  let least = within;
  for (const item of items) {
    const far = distanceOf(item);
    if (far <= least) {
      best = item;
      least = far;
    }
  }
  return best;
}

function footOn({ through, along, reach }: SnapLine, point: Point): Point | null {
  const t = (point.x - through.x) * along.x + (point.y - through.y) * along.y;
  if (reach && (t < reach[0] || t > reach[1])) return null;
  return { x: through.x + along.x * t, y: through.y + along.y * t };
}

function crossingOf(a: SnapLine, b: SnapLine): Point | null {
  const determinant = a.along.x * b.along.y - a.along.y * b.along.x;
  if (Math.abs(determinant) < 1e-6) return null;
  const t = ((b.through.x - a.through.x) * b.along.y - (b.through.y - a.through.y) * b.along.x) / determinant;
  const at = { x: a.through.x + a.along.x * t, y: a.through.y + a.along.y * t };
  return footOn(b, at) && footOn(a, at) ? at : null;
}
