import { nearestParameter } from "./boolean/meet";
import { distanceToChord } from "./chordDistance";
import { closestHandles } from "./closestHandles";
import { curvatureAt, isStraight, pointAt, straight, type Cubic } from "./cubic";
import { segmentsOf, subpathOf, type Path } from "./path";
import { distance, type Point } from "./point";

/** Handles at a joint point the same way when the sine of the angle between them is less than this. */
const SMOOTH = 0.02;

/**
 * A path with neighbours on one straight line, and neighbours that are pieces of one curve, joined wherever the one that
 * stands for both stays within a distance (millimetres) of all it replaces.
 */
export function rejoined(path: Path, within: number): Path {
  return path.map(({ closed, coordinates }) => {
    const segments = segmentsOf({ closed, coordinates });
    const stretches: Stretch[] = [];
    for (const segment of segments) add(stretches, { cubic: segment, over: [segment] }, within);
    if (closed) closeUp(stretches, within);
    return stretches.length === segments.length
      ? { closed, coordinates }
      : subpathOf(
          stretches.map(({ cubic }) => cubic),
          closed,
        );
  });
}

/** A curve and all those it stands for. */
interface Stretch {
  readonly cubic: Cubic;
  readonly over: readonly Cubic[];
}

function add(stretches: Stretch[], next: Stretch, within: number): void {
  const last = stretches.at(-1);
  const both = last ? joined(last, next, within) : null;
  if (both) stretches[stretches.length - 1] = both;
  else stretches.push(next);
}

/** Joins the last of a closed run with its first, if they are one. */
function closeUp(stretches: Stretch[], within: number): void {
  const [first, last] = [stretches[0], stretches.at(-1)];
  // Two that are left bound an area; one would not.
  if (!first || !last || stretches.length < 3) return;
  const both = joined(last, first, within);
  if (!both) return;
  stretches[0] = both;
  stretches.pop();
}

function joined(a: Stretch, b: Stretch, within: number): Stretch | null {
  const over = [...a.over, ...b.over];
  if (bendsAnew(a.cubic, b.cubic, within)) return null;
  const cubic = asOne(a.cubic, b.cubic, over);
  return cubic && !goesFurther(cubic, over) && liesAlong(over, cubic, within) ? { cubic, over } : null;
}

/** Whether a curve's handles reach further than all it is to stand for: it would go there and come back. */
function goesFurther([start, leave, arrive, end]: Cubic, over: readonly Cubic[]): boolean {
  const most = over.reduce((sum, [a, b, c, d]) => sum + distance(a, b) + distance(b, c) + distance(c, d), 0);
  return Math.max(distance(start, leave), distance(arrive, end)) > most;
}

/**
 * Whether one curve cannot stand for two for how they bend where they meet: over a length L, curves that bend by Δκ more or
 * less part by Δκ·L²/2, and one between them, made as fit as can be, by more than a sixteenth of that.
 */
function bendsAnew(a: Cubic, b: Cubic, within: number): boolean {
  const length = Math.min(distance(a[0], a[3]), distance(b[0], b[3]));
  return (Math.abs(curvatureAt(a, 1) - curvatureAt(b, 0)) * length * length) / 32 > within;
}

/** The curve that two would be pieces of; null where they meet at a corner. */
function asOne(a: Cubic, b: Cubic, over: readonly Cubic[]): Cubic | null {
  const [[a0, a1, a2, a3], [b0, b1, b2, b3]] = [a, b];
  if (isStraight(a) !== isStraight(b)) return null;
  if (isStraight(a)) {
    const forward = (a3.x - a0.x) * (b3.x - b0.x) + (a3.y - a0.y) * (b3.y - b0.y);
    return forward > 0 ? straight(a0, b3) : null;
  }
  const [ux, uy, vx, vy] = [a3.x - a2.x, a3.y - a2.y, b1.x - b0.x, b1.y - b0.y];
  const [u, v] = [Math.hypot(ux, uy), Math.hypot(vx, vy)];
  if (u * v === 0 || ux * vx + uy * vy <= 0 || Math.abs(ux * vy - uy * vx) > SMOOTH * u * v) return null;
  // A curve split at t has handles at the joint in the ratio t : 1 − t, and outer handles shortened by t and 1 − t.
  const t = u / (u + v);
  const leave = { x: a0.x + (a1.x - a0.x) / t, y: a0.y + (a1.y - a0.y) / t };
  const arrive = { x: b3.x + (b2.x - b3.x) / (1 - t), y: b3.y + (b2.y - b3.y) / (1 - t) };
  const whole: Cubic = [a0, leave, arrive, b3];
  const passed = samplesOf(over).map(({ point, near }) => ({ point, t: nearestParameter(whole, point, near) }));
  return closestHandles(whole, passed);
}

interface Sample {
  readonly point: Point;
  /** About where a curve over all pieces passes it. */
  readonly near: number;
}

/** Points along pieces, their common ends among them. */
function samplesOf(pieces: readonly Cubic[]): Sample[] {
  const lengths = pieces.map(([start, , , end]) => distance(start, end));
  const total = lengths.reduce((sum, length) => sum + length, 0) || 1;
  let before = 0;
  return pieces.flatMap((piece, index) => {
    const own = lengths[index] ?? 0;
    const from = before;
    before += own;
    return [0.25, 0.5, 0.75, 1].map((share) => ({ point: pointAt(piece, share), near: (from + share * own) / total }));
  });
}

function liesAlong(pieces: readonly Cubic[], whole: Cubic, within: number): boolean {
  if (isStraight(whole)) return pieces.every(([, , , end]) => distanceToChord(end, whole[0], whole[3]) <= within);
  return samplesOf(pieces).every(
    ({ point, near }) => distance(point, pointAt(whole, nearestParameter(whole, point, near))) <= within,
  );
}
