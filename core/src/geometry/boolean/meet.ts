import { derivativeAt, pointAt, type Cubic } from "../cubic";
import { distance, type Point } from "../point";

const ROUNDS = 12;
const CLOSE = 1e-12;

const clampUnit = (t: number) => Math.min(1, Math.max(0, t));

/**
 * Where two curves cross near the given parameters, by Newton's method on a(t) − b(u) = 0. Null when they
 * touch rather than cross there, or the search leaves them.
 */
export function meet(a: Cubic, t: number, b: Cubic, u: number): { point: Point; t: number; u: number } | null {
  for (let round = 0; round < ROUNDS; round++) {
    const [p, q] = [pointAt(a, t), pointAt(b, u)];
    const [dx, dy] = [q.x - p.x, q.y - p.y];
    const [da, db] = [derivativeAt(a, t), derivativeAt(b, u)];
    const determinant = db.x * da.y - da.x * db.y;
    const scale = (da.x * da.x + da.y * da.y) * (db.x * db.x + db.y * db.y);
    if (determinant * determinant <= 1e-14 * scale) return null;
    const stepT = (db.x * dy - db.y * dx) / determinant;
    const stepU = (da.x * dy - da.y * dx) / determinant;
    t = clampUnit(t + stepT);
    u = clampUnit(u + stepU);
    if (Math.abs(stepT) < CLOSE && Math.abs(stepU) < CLOSE) break;
  }
  const [p, q] = [pointAt(a, t), pointAt(b, u)];
  return distance(p, q) < 1e-7 ? { point: p, t, u } : null;
}

/** The parameter, near a given one, where a curve comes closest to a point: Newton on (c − p)·c′ = 0. */
export function nearestParameter(cubic: Cubic, point: Point, near: number): number {
  let t = near;
  for (let round = 0; round < ROUNDS; round++) {
    const at = pointAt(cubic, t);
    const slope = derivativeAt(cubic, t);
    const lengthSquared = slope.x * slope.x + slope.y * slope.y;
    if (lengthSquared === 0) return t;
    const step = ((point.x - at.x) * slope.x + (point.y - at.y) * slope.y) / lengthSquared;
    t = clampUnit(t + step);
    if (Math.abs(step) < CLOSE) break;
  }
  return t;
}
