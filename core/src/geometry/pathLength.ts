import { curvatureAt, derivativeAt, isStraight, pieceOf, pointAt, tangentAt, type Cubic } from "./cubic";
import { segmentsOf, type Subpath } from "./path";
import { distance, type Point } from "./point";

/** Intervals a curve's lengths are kept for; in between a place is sought from the one before. */
const INTERVALS = 16;
/** Nodes and weights of Gauss and Legendre's rule of five points on −1…1 (Abramowitz and Stegun, table 25.4). */
const GAUSS = [
  [0, 0.5688888888888889],
  [-0.538469310105683, 0.47862867049936647],
  [0.538469310105683, 0.47862867049936647],
  [-0.906179845938664, 0.2369268850561891],
  [0.906179845938664, 0.2369268850561891],
] as const;
/** A stretch is halved until its halves say the same as the whole within this, millimetres. */
const SAME_LENGTH = 1e-9;
/** Halving more often finds nothing new. */
const DEEPEST = 24;

/** A place on a run: the point, and the direction of travel as a unit vector. */
export interface PlaceOnPath {
  /** Where it is, millimetres. */
  readonly point: Point;
  /** The direction the path goes on in there, of length 1. */
  readonly tangent: Point;
  /** How fast the direction turns, radians a millimetre, clockwise above 0. */
  readonly curvature: number;
}

/** A run that is measured and can be asked for the place at any length along it. */
export interface MeasuredPath {
  /** Millimetres from its start to its end. */
  readonly length: number;
  /** Whether its end meets its beginning. */
  readonly closed: boolean;
  /** The place so many millimetres from the start; beyond the ends it stays at them, on a closed run it goes round. */
  at: (length: number) => PlaceOnPath;
}

interface MeasuredSegment {
  readonly cubic: Cubic;
  readonly lengths: readonly number[];
}

/** Runs are measured again and again by whoever goes along them, and never change. */
const measured = new WeakMap<Subpath, readonly MeasuredSegment[]>();

function measuredSegments(subpath: Subpath): readonly MeasuredSegment[] {
  const known = measured.get(subpath);
  if (known) return known;
  const segments = segmentsOf(subpath).map((cubic) => ({ cubic, lengths: lengthsOf(cubic) }));
  measured.set(subpath, segments);
  return segments;
}

/** The lengths at which a run's nodes stand, from 0 to its whole length. */
export function nodeLengths(subpath: Subpath): number[] {
  const nodes = [0];
  for (const { lengths } of measuredSegments(subpath)) nodes.push((nodes.at(-1) ?? 0) + (lengths.at(-1) ?? 0));
  return nodes;
}

/** The run cut into pieces at the given lengths, ascending from 0 to its whole length: one segment between each two. */
export function cutAtLengths(subpath: Subpath, cuts: readonly number[]): Cubic[] {
  const segments = measuredSegments(subpath);
  const nodes = nodeLengths(subpath);
  return cuts.slice(1).map((to, index) => {
    const from = cuts[index] ?? 0;
    const middle = (from + to) / 2;
    const at = Math.min(
      segments.length - 1,
      Math.max(
        0,
        nodes.findLastIndex((length) => length <= middle),
      ),
    );
    const segment = segments[at];
    const start = nodes[at] ?? 0;
    if (!segment) throw new Error("a run without segments was cut");
    const { cubic, lengths } = segment;
    return pieceOf(cubic, parameterAt(cubic, lengths, from - start), parameterAt(cubic, lengths, to - start));
  });
}

/** Measures a run of cubic segments by its arc length. */
export function measurePath(subpath: Subpath): MeasuredPath {
  const segments = measuredSegments(subpath);
  const starts: number[] = [];
  let total = 0;
  for (const { lengths } of segments) {
    starts.push(total);
    total += lengths.at(-1) ?? 0;
  }
  return {
    length: total,
    closed: subpath.closed,
    at(length) {
      const wanted = subpath.closed && total > 0 ? wrap(length, total) : Math.min(total, Math.max(0, length));
      let index = starts.findLastIndex((start) => start <= wanted);
      index = Math.max(0, index);
      const segment = segments[index];
      if (!segment) return { point: { x: 0, y: 0 }, tangent: { x: 1, y: 0 }, curvature: 0 };
      const t = parameterAt(segment.cubic, segment.lengths, wanted - (starts[index] ?? 0));
      const { cubic } = segment;
      return { point: pointAt(cubic, t), tangent: tangentAt(cubic, t), curvature: curvatureAt(cubic, t) };
    },
  };
}

function wrap(length: number, total: number): number {
  const rest = length % total;
  return rest < 0 ? rest + total : rest;
}

function speedAt(cubic: Cubic, t: number): number {
  const { x, y } = derivativeAt(cubic, t);
  return Math.hypot(x, y);
}

/** Lengths from the start to each interval's end; a straight segment has one interval. */
function lengthsOf(cubic: Cubic): number[] {
  if (isStraight(cubic)) return [0, distance(cubic[0], cubic[3])];
  const lengths = [0];
  const step = 1 / INTERVALS;
  for (let k = 0; k < INTERVALS; k++) lengths.push((lengths[k] ?? 0) + lengthBetween(cubic, k * step, (k + 1) * step));
  return lengths;
}

/** The length between two parameters, by halves where one rule over all is not exact enough. */
function lengthBetween(cubic: Cubic, from: number, to: number, whole = byRule(cubic, from, to), depth = 0): number {
  const middle = (from + to) / 2;
  const [first, second] = [byRule(cubic, from, middle), byRule(cubic, middle, to)];
  if (Math.abs(first + second - whole) <= SAME_LENGTH || depth === DEEPEST) return first + second;
  return lengthBetween(cubic, from, middle, first, depth + 1) + lengthBetween(cubic, middle, to, second, depth + 1);
}

function byRule(cubic: Cubic, from: number, to: number): number {
  const [middle, half] = [(from + to) / 2, (to - from) / 2];
  return half * GAUSS.reduce((sum, [node, weight]) => sum + weight * speedAt(cubic, middle + half * node), 0);
}

/** Steps after which a place is found, at the latest. */
const ROUNDS = 60;

function parameterAt(cubic: Cubic, lengths: readonly number[], wanted: number): number {
  const total = lengths.at(-1) ?? 0;
  if (total === 0) return 0;
  if (isStraight(cubic)) return parameterOfShare(wanted / total);
  const k = Math.max(
    0,
    Math.min(
      INTERVALS - 1,
      lengths.findLastIndex((length) => length <= wanted),
    ),
  );
  const mark = k / INTERVALS;
  const left = wanted - (lengths[k] ?? 0);
  let [t, low, high] = [mark, mark, (k + 1) / INTERVALS];
  // Newton steps, or the middle of where it must be when one would lead out of that.
  for (let round = 0; round < ROUNDS; round++) {
    const missing = left - (t === mark ? 0 : lengthBetween(cubic, mark, t));
    if (missing > 0) low = t;
    else high = t;
    const next = t + missing / speedAt(cubic, t);
    const before = t;
    t = next >= low && next <= high ? next : (low + high) / 2;
    if (Math.abs(t - before) < 1e-13) break;
  }
  return Math.min(1, Math.max(0, t));
}

/** A straight segment's course is 3t² − 2t³; its inverse, by the formula for a cubic with three real roots. */
function parameterOfShare(share: number): number {
  const s = Math.min(1, Math.max(0, share));
  return 0.5 - Math.sin(Math.asin(1 - 2 * s) / 3);
}
