import { nearestParameter } from "../boolean/meet";
import { Nodes } from "../boolean/nodes";
import { distanceToChord } from "../chordDistance";
import { isStraight, pointAt, straight, type Cubic } from "../cubic";
import { segmentsOf, subpathOf, type Path, type Subpath } from "../path";
import { distance, type Point } from "../point";
import { cutAt, type Piece } from "./cutPieces";
import { passagesOf } from "./passages";

/** At the standard size, what is nearer than this is in the same place, millimetres. */
export const SAME_PLACE = 0.002;

/** Outlines that meet where they nearly met. */
interface Settled {
  /** The outlines, in the order given. */
  readonly paths: readonly Path[];
  /** Whether pieces of them lie on each other. */
  readonly shared: boolean;
}

/**
 * Outlines in which all that lies on each other within a distance (millimetres) is the same: ends that nearly meet meet,
 * a curve that passes the end of another is cut there, and of pieces that lie on each other all take the first one's
 * curve. Open runs are closed by a straight edge, as a fill closes them, or left open as lines.
 */
export function coincide(paths: readonly Path[], within: number, openRuns: "closed" | "open"): Settled {
  const ends = new Nodes(within);
  const at = (place: number): Point => ({ x: ends.x[place] ?? 0, y: ends.y[place] ?? 0 });
  const curves: Piece[] = [];
  const runs = paths.map((path) =>
    path.flatMap((subpath): Run[] => {
      const isClosed = subpath.closed || openRuns === "closed";
      const first = curves.length;
      for (const cubic of isClosed ? closed(segmentsOf(subpath)) : segmentsOf(subpath)) {
        const [start, , , end] = cubic;
        const [from, to] = [ends.at(start.x, start.y), ends.at(end.x, end.y)];
        curves.push(...cutAt({ from, to, cubic }, [], at));
      }
      return curves.length > first ? [{ closed: isClosed, first, last: curves.length }] : [];
    }),
  );
  const cuts = passagesOf(
    curves,
    ends.x.map((_, place) => at(place)),
    within,
  );
  const known = new KnownPieces(within);
  const pieces = curves.map((curve, number) => {
    const own = cuts.get(number);
    return (own ? cutAt(curve, own, at) : [curve]).map((piece) => known.theSame(piece));
  });
  const drawn = ({ first, last, closed }: Run): Subpath => subpathOf(pieces.slice(first, last).flat(), closed);
  return { paths: runs.map((own) => own.map(drawn)), shared: known.shared };
}

interface Run {
  readonly closed: boolean;
  readonly first: number;
  readonly last: number;
}

function closed(segments: readonly Cubic[]): readonly Cubic[] {
  const [start, end] = [segments[0]?.[0], segments.at(-1)?.[3]];
  return !start || !end || (start.x === end.x && start.y === end.y) ? segments : [...segments, straight(end, start)];
}

/** Pieces longer than so many times the distance lie on each other for more than being small. */
const LONG = 50;

/** Pieces met so far, by the places they join. */
class KnownPieces {
  private readonly known = new Map<number, Map<number, Piece[]>>();

  /** Whether any lay on another over more than a few times the distance. */
  shared = false;

  constructor(private readonly within: number) {}

  /** The curve of a piece: that of one met before where they lie on each other, run the same way as the piece. */
  theSame(piece: Piece): Cubic {
    const [low, high] = [Math.min(piece.from, piece.to), Math.max(piece.from, piece.to)];
    const fromLow = this.known.get(low) ?? new Map<number, Piece[]>();
    this.known.set(low, fromLow);
    const others = fromLow.get(high) ?? [];
    fromLow.set(high, others);
    for (const other of others) {
      const way = wayOver(piece, other, this.within);
      if (way === 0) continue;
      this.shared ||= distance(piece.cubic[0], piece.cubic[3]) > LONG * this.within;
      return way > 0 ? other.cubic : backwards(other.cubic);
    }
    others.push(piece);
    return piece.cubic;
  }
}

function backwards([a, b, c, d]: Cubic): Cubic {
  return [d, c, b, a];
}

/** 1 where a piece lies on another and runs the same way, −1 where it runs against it, 0 where it lies elsewhere. */
function wayOver(piece: Piece, other: Piece, within: number): 1 | -1 | 0 {
  const way = piece.from !== piece.to ? (piece.from === other.from ? 1 : -1) : wayRound(piece.cubic, other.cubic);
  if (isStraight(piece.cubic) && isStraight(other.cubic)) return way;
  const lies = [0.25, 0.5, 0.75].every((share) => {
    const point = pointAt(piece.cubic, share);
    return offFrom(other.cubic, point, way > 0 ? share : 1 - share) <= within;
  });
  return lies ? way : 0;
}

/** The way a closed curve runs beside another that begins and ends at the same place. */
function wayRound(cubic: Cubic, other: Cubic): 1 | -1 {
  const early = pointAt(cubic, 0.25);
  return distance(early, pointAt(other, 0.25)) <= distance(early, pointAt(other, 0.75)) ? 1 : -1;
}

function offFrom(cubic: Cubic, point: Point, near: number): number {
  if (isStraight(cubic)) return distanceToChord(point, cubic[0], cubic[3]);
  return distance(point, pointAt(cubic, nearestParameter(cubic, point, near)));
}
