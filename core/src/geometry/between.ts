import { atEvenPace, isStraight, type Cubic } from "./cubic";
import { cutAtLengths, nodeLengths } from "./pathLength";
import { areaOfPath, reversePath, subpathOf, type Path, type Subpath } from "./path";

/** Shares of a length that differ by less are one. */
const SAME = 1e-9;

/**
 * A function from t (0…1) to the outline so far on the way from one outline to another. Runs are matched in
 * order; along each pair, both are cut wherever either has a node, by shares of their length from the start
 * point, and the handles of matching pieces go over in straight lines. A run without a partner shrinks to a
 * point. A run is closed where both are; closed runs that go round opposite ways are first turned alike.
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
  const shares = [...sharesOf(a), ...sharesOf(b)].sort((p, q) => p - q);
  const cuts = shares.filter((share, index) => index === 0 || share - (shares[index - 1] ?? 0) > SAME);
  const [ofA, ofB] = [cut(a, cuts), cut(b, cuts)];
  return ofA.flatMap((piece, index) => {
    const other = ofB[index];
    if (!other) return [];
    const alike = isStraight(piece) && isStraight(other);
    return [alike ? ([piece, other] as const) : ([paced(piece), paced(other)] as const)];
  });
}

function paced(piece: Cubic): Cubic {
  return isStraight(piece) ? atEvenPace(piece) : piece;
}

/** Where a run's nodes stand, as shares of its length; evenly by count where it has none. */
function sharesOf(run: Subpath): number[] {
  const lengths = nodeLengths(run);
  const total = lengths.at(-1) ?? 0;
  return lengths.map((length, index) => (total > 0 ? length / total : index / Math.max(1, lengths.length - 1)));
}

function cut(run: Subpath, shares: readonly number[]): Cubic[] {
  const total = nodeLengths(run).at(-1) ?? 0;
  if (total > 0) {
    return cutAtLengths(
      run,
      shares.map((share) => share * total),
    );
  }
  const point = { x: run.coordinates[0] ?? 0, y: run.coordinates[1] ?? 0 };
  return shares.slice(1).map((): Cubic => [point, point, point, point]);
}

function mixed(a: Cubic, b: Cubic, t: number): Cubic {
  const at = (k: 0 | 1 | 2 | 3) => ({ x: a[k].x + (b[k].x - a[k].x) * t, y: a[k].y + (b[k].y - a[k].y) * t });
  return [at(0), at(1), at(2), at(3)];
}
