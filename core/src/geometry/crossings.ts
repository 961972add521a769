import { at } from "./at";
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
  /** Whether its curve is straight, so that it is the curve itself. */
  readonly isTrue: boolean;
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
      for (const crossing of crossingsAt(curves, other, chord)) {
        if (!found.some(({ point }) => distance(point, crossing.point) < ONE_PLACE)) found.push(crossing);
      }
    }
    near.push(chord);
  }
  return found;
}

function crossingsAt(curves: readonly Owned[], a: Chord, b: Chord): Crossing[] {
  if (a.curve === b.curve) return [];
  const [one, two] = [at(curves, a.curve), at(curves, b.curve)];
  return startsOf(a, b).flatMap(([share, other]) => {
    const [t, u] = [a.at + (a.till - a.at) * share, b.at + (b.till - b.at) * other];
    const met = meet(one.cubic, t, two.cubic, u);
    if (!met || (isEnd(met.t) && isEnd(met.u))) return [];
    return [{ point: met.point, owners: [one.owner, two.owner] }];
  });
}

/**
 * From where it is looked for a crossing, as shares of both chords: where they cross; of chords that run beside each other from
 * their ends too, since curves that cross flatly, perhaps twice, may do so between chords that do not.
 */
function startsOf(a: Chord, b: Chord): (readonly [number, number])[] {
  const crossed = sharesWhereCrossed(a, b);
  if ((a.isTrue && b.isTrue) || !isFlat(a, b)) return crossed ? [crossed] : [];
  return [0, 1].flatMap((end) => [
    [end, shareNear(b, end === 0 ? a.from : a.to)] as const,
    [shareNear(a, end === 0 ? b.from : b.to), end] as const,
  ]);
}

/** Chords at less than this angle cross flatly, as its sine: about fifteen degrees. */
const FLAT = 0.26;

function isFlat({ from: a, to: b }: Chord, { from: c, to: d }: Chord): boolean {
  const [ax, ay, bx, by] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  return Math.abs(ax * by - ay * bx) < FLAT * Math.hypot(ax, ay) * Math.hypot(bx, by);
}

/** The share of a chord that is nearest to a point. */
function shareNear({ from, to }: Chord, point: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const share = ((point.x - from.x) * dx + (point.y - from.y) * dy) / (dx * dx + dy * dy);
  return Math.max(0, Math.min(1, share));
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
  const isTrue = isStraight(cubic);
  const count = isTrue ? 1 : chordsNeeded(cubic, FINE);
  const place = (k: number) => (k === 0 ? cubic[0] : k === count ? cubic[3] : pointAt(cubic, k / count));
  return Array.from({ length: count }, (_, k) => {
    const [from, to] = [place(k), place(k + 1)];
    return {
      curve,
      from,
      to,
      isTrue,
      at: k / count,
      till: (k + 1) / count,
      box: growBox(boxOfPoints([from, to]), FINE),
    };
  });
}
