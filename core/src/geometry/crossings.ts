import { boxOfPoints, growBox, type Box } from "./box";
import { meet } from "./boolean/meet";
import { pointAt, isStraight, type Cubic } from "./cubic";
import { chordsNeeded } from "./flatten";
import { distance, type Point } from "./point";

/** Curves are met by chords true to this, millimetres; where they cross is then found exactly. */
const FINE = 0.05;
/** How much farther along than beside a chord its curve may be crossed. */
const PAST = 4;
/** Crossings nearer than this are one, millimetres. */
const ONE_PLACE = 1e-3;

/** A curve and whose it is. */
export interface Owned {
  /** The curve, millimetres. */
  readonly cubic: Cubic;
  /** A number of whoever it belongs to. */
  readonly owner: number;
}

/** A place where two curves cross, and whose they are. */
export interface Crossing {
  readonly point: Point;
  readonly owners: readonly [number, number];
}

interface Chord {
  readonly curve: number;
  readonly from: Point;
  readonly to: Point;
  /** Parameters of the curve at both ends. */
  readonly at: number;
  readonly till: number;
  /** Around it, with what it may be beside its curve. */
  readonly box: Box;
}

/** Where curves cross each other, each place once; where two only share an end they do not. */
export function crossingsOf(curves: readonly Owned[]): Crossing[] {
  const chords = curves.flatMap(({ cubic }, curve) => chordsOf(cubic, curve)).sort((a, b) => a.box.left - b.box.left);
  const found: Crossing[] = [];
  let near: Chord[] = [];
  for (const chord of chords) {
    // From left to right: those that ended before are passed for good.
    near = near.filter(({ box }) => box.right >= chord.box.left);
    for (const other of near) {
      if (other.box.top > chord.box.bottom || other.box.bottom < chord.box.top) continue;
      const crossing = crossingAt(curves, other, chord);
      if (crossing && !found.some(({ point }) => distance(point, crossing.point) < ONE_PLACE)) found.push(crossing);
    }
    near.push(chord);
  }
  return found;
}

function crossingAt(curves: readonly Owned[], a: Chord, b: Chord): Crossing | null {
  const [one, two] = [curves[a.curve], curves[b.curve]];
  if (!one || !two || a.curve === b.curve) return null;
  const shares = sharesWhereCrossed(a, b);
  if (!shares) return null;
  const [t, u] = [a.at + (a.till - a.at) * shares[0], b.at + (b.till - b.at) * shares[1]];
  const met = meet(one.cubic, t, two.cubic, u);
  if (!met || (isEnd(met.t) && isEnd(met.u))) return null;
  return { point: met.point, owners: [one.owner, two.owner] };
}

const isEnd = (t: number) => t < 1e-6 || t > 1 - 1e-6;

/** The shares of two chords at which they cross, null where they do not. A chord touched by an end of another is crossed. */
function sharesWhereCrossed(a: Chord, b: Chord): readonly [number, number] | null {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y];
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y];
  const determinant = ax * by - ay * bx;
  if (Math.abs(determinant) < 1e-12) return null;
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const [t, u] = [(dx * by - dy * bx) / determinant, (dx * ay - dy * ax) / determinant];
  return isOn(t, Math.hypot(ax, ay)) && isOn(u, Math.hypot(bx, by)) ? [t, u] : null;
}

/** Whether a share of a chord may be one of its curve: the curves beside which two chords run may cross a little past their ends. */
function isOn(share: number, length: number): boolean {
  const slack = 0.02 + (PAST * FINE) / length;
  return share >= -slack && share <= 1 + slack;
}

function chordsOf(cubic: Cubic, curve: number): Chord[] {
  const count = isStraight(cubic) ? 1 : chordsNeeded(cubic, FINE);
  const at = (k: number) => (k === 0 ? cubic[0] : k === count ? cubic[3] : pointAt(cubic, k / count));
  return Array.from({ length: count }, (_, k) => {
    const [from, to] = [at(k), at(k + 1)];
    return { curve, from, to, at: k / count, till: (k + 1) / count, box: growBox(boxOfPoints([from, to]), FINE) };
  });
}
