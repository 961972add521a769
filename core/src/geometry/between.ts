import { at } from "./at";
import { bendByBend } from "./bendByBend";
import { atEvenPace, isStraight, tangentAt, type Cubic } from "./cubic";
import { cutAtLengths, nodeLengths } from "./pathLength";
import { areaOfPath, reversePath, segmentsOf, subpathOf, type Path, type Subpath } from "./path";
import { angleBetween } from "./strip/smoothRuns";

/** Places that differ by less are one. */
const SAME = 1e-9;
/** Directions that differ by more are a corner, radians. */
const CORNER = 0.02;

/**
 * A function from t (0…1) to the outline so far on the way from one outline to another. Runs are matched in
 * order; along each pair, both are cut wherever either has a node, and the handles of matching pieces go over
 * in straight lines. Runs of as many pieces, straight and bent in the same order, go over node by node; so do
 * closed runs of the same bends, of whose edges some have come to nothing in one. Those with as many corners go
 * over from corner to corner, by shares of the length between; others by shares of their length from the start
 * point. A run without a partner shrinks to a point. A run is closed where both are; closed runs that go round
 * opposite ways are first turned alike.
 */
export function pathsBetween(from: Path, to: Path): (t: number) => Path {
  const pairs = Array.from({ length: Math.max(from.length, to.length) }, (_, run) => pairOf(from, to, run));
  return (t) =>
    pairs.map(({ closed, pieces }) =>
      subpathOf(
        pieces.map(([a, b]) => mixed(a, b, t)),
        closed,
      ),
    );
}

interface MatchedRun {
  readonly closed: boolean;
  readonly pieces: readonly (readonly [Cubic, Cubic])[];
}

function pairOf(from: Path, to: Path, run: number): MatchedRun {
  const a = from[run] ?? pointLike(to[run]);
  const b = to[run] ?? pointLike(from[run]);
  if (!a || !b) return { closed: false, pieces: [] };
  const closed = a.closed && b.closed;
  const opposed = closed && areaOfPath([a]) * areaOfPath([b]) < 0;
  return { closed, pieces: matched(a, opposed ? (reversePath([b])[0] ?? b) : b) };
}

/** A run that has shrunk to the middle of its nodes. */
function pointLike(run: Subpath | undefined): Subpath | undefined {
  if (!run) return undefined;
  const { coordinates, closed } = run;
  const mean = (offset: number) => {
    const own = coordinates.filter((_, index) => index % 6 === offset);
    return own.reduce((sum, coordinate) => sum + coordinate, 0) / Math.max(1, own.length);
  };
  const middle = [mean(0), mean(1)];
  return { closed, coordinates: coordinates.map((_, index) => middle[index % 2] ?? 0) };
}

function matched(a: Subpath, b: Subpath): (readonly [Cubic, Cubic])[] {
  const bends = bendByBend(a, b);
  if (bends) return bends;
  const [alongA, alongB] = marksOf(a, b);
  const places = [...nodeLengths(a).map(alongA.placeOf), ...nodeLengths(b).map(alongB.placeOf)].sort((p, q) => p - q);
  const cuts = places.filter((place, index) => index === 0 || place - (places[index - 1] ?? 0) > SAME);
  const [ofA, ofB] = [cut(a, cuts.map(alongA.lengthAt)), cut(b, cuts.map(alongB.lengthAt))];
  return ofA.flatMap((piece, index) => {
    const other = ofB[index];
    if (!other) return [];
    const alike = isStraight(piece) && isStraight(other);
    return [alike ? ([piece, other] as const) : ([paced(piece), paced(other)] as const)];
  });
}

/** The marks at which two runs are laid beside each other, along each of them. */
function marksOf(a: Subpath, b: Subpath): readonly [Marks, Marks] {
  const [lengthsA, lengthsB] = [nodeLengths(a), nodeLengths(b)];
  const [ofA, ofB] = [segmentsOf(a), segmentsOf(b)];
  const isAlike = ofA.length === ofB.length && ofA.every((piece, k) => isStraight(piece) === isStraight(at(ofB, k)));
  if (isAlike && total(lengthsA) > 0 && total(lengthsB) > 0) return [new Marks(lengthsA), new Marks(lengthsB)];
  const [cornersA, cornersB] = [cornersOf(ofA), cornersOf(ofB)];
  const between = cornersA.length === cornersB.length;
  const marks = (lengths: readonly number[], corners: readonly number[]) =>
    new Marks([0, ...(between ? corners.map((corner) => lengths[corner] ?? 0) : []), total(lengths)]);
  return [marks(lengthsA, cornersA), marks(lengthsB, cornersB)];
}

const total = (lengths: readonly number[]) => lengths.at(-1) ?? 0;

/** The nodes at which a run turns sharply, its start and its end left out. */
function cornersOf(segments: readonly Cubic[]): number[] {
  return segments.flatMap((after, node) => {
    const before = segments[node - 1];
    return before && angleBetween(tangentAt(before, 1), tangentAt(after, 0)) > CORNER ? [node] : [];
  });
}

/** Marks along a run, ascending from 0 to its whole length, and places counted by them: 1.5 is half way from the second to the third. */
class Marks {
  constructor(private readonly lengths: readonly number[]) {}

  readonly placeOf = (length: number): number => {
    const last = this.lengths.length - 2;
    const mark = Math.min(
      last,
      Math.max(
        0,
        this.lengths.findLastIndex((own) => own <= length),
      ),
    );
    const [from, to] = [this.lengths[mark] ?? 0, this.lengths[mark + 1] ?? 0];
    return mark + (to > from ? (length - from) / (to - from) : 0);
  };

  readonly lengthAt = (place: number): number => {
    const mark = Math.min(this.lengths.length - 2, Math.floor(place));
    const [from, to] = [this.lengths[mark] ?? 0, this.lengths[mark + 1] ?? 0];
    return from + (to - from) * (place - mark);
  };
}

function paced(piece: Cubic): Cubic {
  return isStraight(piece) ? atEvenPace(piece) : piece;
}

/** The pieces of a run between lengths along it; a run that is a point has them all there. */
function cut(run: Subpath, lengths: readonly number[]): Cubic[] {
  if (total(nodeLengths(run)) > 0) return cutAtLengths(run, lengths);
  const point = { x: run.coordinates[0] ?? 0, y: run.coordinates[1] ?? 0 };
  return lengths.slice(1).map((): Cubic => [point, point, point, point]);
}

function mixed(a: Cubic, b: Cubic, t: number): Cubic {
  const handle = (k: 0 | 1 | 2 | 3) => ({ x: a[k].x + (b[k].x - a[k].x) * t, y: a[k].y + (b[k].y - a[k].y) * t });
  return [handle(0), handle(1), handle(2), handle(3)];
}
