import { curvatureAt, isStraight, pieceOf, pointAt, straight, tangentAt, type Cubic } from "../cubic";

/** Halving a curve more often than this finds nothing new. */
const DEEPEST = 7;
/** Chords in place of a bend turn by about this, radians. */
const TURN = Math.PI / 12;
const PLACES = [0, 0.25, 0.5, 0.75, 1];

/**
 * A curve with chords wherever it bends tighter than a line at a distance beside it can follow: there that line would run
 * backwards. Beside chords it runs on, and what it does too much can be told by the way it goes round.
 */
export function withoutTightBends(cubic: Cubic, by: number, depth = 0): Cubic[] {
  if (isStraight(cubic)) return [cubic];
  const follows = (t: number) => 1 + by * curvatureAt(cubic, t) > 1e-9;
  if (PLACES.every(follows)) return [cubic];
  if (!PLACES.some(follows) || depth === DEEPEST) return chordsOf(cubic);
  return [pieceOf(cubic, 0, 0.5), pieceOf(cubic, 0.5, 1)].flatMap((half) => withoutTightBends(half, by, depth + 1));
}

function chordsOf(cubic: Cubic): Cubic[] {
  const [a, b] = [tangentAt(cubic, 0), tangentAt(cubic, 1)];
  const turn = Math.abs(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y));
  const count = Math.max(2, Math.ceil(turn / TURN));
  const at = (k: number) => (k === 0 ? cubic[0] : k === count ? cubic[3] : pointAt(cubic, k / count));
  return Array.from({ length: count }, (_, k) => straight(at(k), at(k + 1)));
}
