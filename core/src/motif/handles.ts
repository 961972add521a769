import { directionOf, polar, type Point } from "../geometry/point";

/** A number of a motif or a rule as something to pull, in its own space. */
export interface NumberHandle {
  /** The field it sets. */
  readonly field: string;
  /** Where it is, in the motif's own space. */
  readonly at: Point;
  /** The way it moves: degrees, 0° up, clockwise. */
  readonly direction: number;
  /** The field's value when the handle is pulled to a point. */
  pull: (to: Point) => number;
}

/** A length measured from a point in a direction (degrees); `times` is how much of the length the handle stands at. */
export function lengthHandle(field: string, from: Point, direction: number, length: number, times = 1): NumberHandle {
  const unit = polar(1, direction);
  return {
    field,
    at: polar(length * times, direction, from),
    direction,
    pull: (to) => ((to.x - from.x) * unit.x + (to.y - from.y) * unit.y) / times,
  };
}

/** A number from 0 at one point to 1 at another. */
export function shareHandle(field: string, from: Point, to: Point, share: number): NumberHandle {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  return {
    field,
    at: { x: from.x + dx * share, y: from.y + dy * share },
    direction: directionOf(from, to),
    pull: (point) => ((point.x - from.x) * dx + (point.y - from.y) * dy) / (dx * dx + dy * dy || 1),
  };
}

/** A direction about the origin, at a radius. Keeps the turn nearest to the present one. */
export function angleHandle(field: string, radius: number, degrees: number): NumberHandle {
  return {
    field,
    at: polar(radius, degrees),
    direction: degrees + 90,
    pull(to) {
      const seen = directionOf({ x: 0, y: 0 }, to);
      return seen + 360 * Math.round((degrees - seen) / 360);
    },
  };
}

/** A count of equal steps around: the handle stands one step on from the start. */
export function countHandle(field: string, radius: number, start: number, count: number, steps = 1): NumberHandle {
  const at = start + (360 / count) * steps;
  return {
    field,
    at: polar(radius, at),
    direction: at + 90,
    pull(to) {
      const turned = (directionOf({ x: 0, y: 0 }, to) - start + 720) % 360;
      return Math.round((360 * steps) / Math.max(turned, 0.5));
    },
  };
}

/**
 * A span of degrees counted from a start: the handle stands at its end, or a little aside of it where something else
 * stands there. A full turn stays one, not none.
 */
export function spanHandle(field: string, radius: number, start: number, span: number, aside = 0): NumberHandle {
  const end = start + span + aside;
  return {
    field,
    at: polar(radius, end),
    direction: end + 90,
    pull(to) {
      const seen = directionOf({ x: 0, y: 0 }, to) - start - aside;
      const near = seen + 360 * Math.round((span - seen) / 360);
      return Math.min(360, Math.max(-360, near));
    },
  };
}
