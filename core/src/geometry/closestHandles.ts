import { derivativeAt, pointAt, type Cubic } from "./cubic";
import type { Point } from "./point";

/** A point that a curve should pass, and the parameter at which it passes nearest, about. */
export interface Passed {
  readonly point: Point;
  readonly t: number;
}

/**
 * A curve with its handles made longer or shorter, their directions kept, so that it comes closest to points: least squares
 * of how far they lie across it.
 */
export function closestHandles(cubic: Cubic, passed: readonly Passed[]): Cubic {
  const [start, leave, arrive, end] = cubic;
  const [lx, ly, rx, ry] = [leave.x - start.x, leave.y - start.y, arrive.x - end.x, arrive.y - end.y];
  let [ll, lr, rr, lo, ro] = [0, 0, 0, 0, 0];
  for (const { point, t } of passed) {
    const at = pointAt(cubic, t);
    const slope = derivativeAt(cubic, t);
    // Only what is across the curve counts: along it the pace may differ.
    const speed = Math.hypot(slope.x, slope.y) || 1;
    const [ax, ay] = [-slope.y / speed, slope.x / speed];
    const l = 3 * (1 - t) * (1 - t) * t * (lx * ax + ly * ay);
    const r = 3 * (1 - t) * t * t * (rx * ax + ry * ay);
    const off = (point.x - at.x) * ax + (point.y - at.y) * ay;
    ll += l * l;
    lr += l * r;
    rr += r * r;
    lo += l * off;
    ro += r * off;
  }
  const determinant = ll * rr - lr * lr;
  if (determinant <= 1e-9 * ll * rr) return cubic;
  const [p, q] = [1 + (lo * rr - ro * lr) / determinant, 1 + (ro * ll - lo * lr) / determinant];
  // Of a curve that is straight, or nearly, handles of any length come close.
  if (!isLikely(p) || !isLikely(q)) return cubic;
  return [start, { x: start.x + lx * p, y: start.y + ly * p }, { x: end.x + rx * q, y: end.y + ry * q }, end];
}

/** How much longer or shorter handles may become. */
const MOST = 4;

function isLikely(factor: number): boolean {
  return factor >= 1 / MOST && factor <= MOST;
}
