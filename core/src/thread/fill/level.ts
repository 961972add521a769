import { apply, rotation } from "../../geometry/matrix";
import { between, type Point } from "../../geometry/point";
import type { Limits } from "../lines/definition";
import { rowPlaces } from "../rowPlaces";
import type { FillStitch } from "../stitchFields";

/** A plane in which rows of stitches are level lines, and the way there and back. */
export interface Level {
  /** A polygon carried there. */
  readonly to: (polygon: readonly Point[]) => Point[];
  /** A point carried back. */
  readonly back: (point: Point) => Point;
  /** Where needle points stand along a row between two places, from left to right; neither place is among them. */
  readonly places: (left: number, right: number, row: LevelRow) => number[];
}

/** A row to be sewn. */
interface LevelRow {
  /** Its number. */
  readonly row: number;
  readonly stitch: FillStitch;
  readonly limits: Limits;
}

/** The plane in which rows at an angle, bowed as waves, are level. */
export function levelOf({ angle, wave }: Pick<FillStitch, "angle" | "wave">): Level {
  const [there, back] = [rotation(-angle), rotation(angle)];
  if (wave.height === 0) {
    return {
      to: (polygon) => polygon.map((point) => apply(there, point)),
      back: (point) => apply(back, point),
      places: straightPlaces,
    };
  }
  const piece = wave.length / bendsOf(wave.length);
  const bow = bowOf(wave, piece);
  return {
    to: (polygon) =>
      cutAtBends(
        polygon.map((point) => apply(there, point)),
        piece,
      ).map(({ x, y }) => ({ x, y: y - bow(x) })),
    back: ({ x, y }) => apply(back, { x, y: y + bow(x) }),
    places: (left, right, row) => bentPlaces(left, right, piece, row),
  };
}

/** Points stand where they do for all rows, moved on from row to row, whichever way each is sewn and wherever it begins. */
function straightPlaces(left: number, right: number, { row, stitch, limits }: LevelRow): number[] {
  const longest = Math.min(stitch.length, limits.longest);
  const places = rowPlaces(right - left, longest, row * stitch.shift - left / longest, limits.shortest);
  return places.map((place) => left + place);
}

/** A wave is so many straight pieces, unless they would be shorter than this, millimetres. */
const PIECES = [12, 8, 4] as const;
const SHORTEST_PIECE = 0.8;

function bendsOf(length: number): number {
  return PIECES.find((count) => length / count >= SHORTEST_PIECE) ?? 4;
}

/**
 * How far a wave is bowed. It is of straight pieces, as stitches are: neighbouring rows bend at the same places, where needle
 * points stand, and are as far apart as the spacing says all along.
 */
function bowOf(wave: FillStitch["wave"], piece: number): (x: number) => number {
  const at = (bend: number) => (wave.height / 2) * Math.sin((2 * Math.PI * bend * piece) / wave.length);
  return (x) => {
    const before = Math.floor(x / piece);
    const share = x / piece - before;
    return at(before) * (1 - share) + at(before + 1) * share;
  };
}

/** Needle points where a wave bends, and between where bends are too far apart; none too near to the row's ends. */
function bentPlaces(left: number, right: number, piece: number, { stitch, limits }: LevelRow): number[] {
  const { longest, shortest } = limits;
  const step = piece / Math.ceil(piece / Math.max(shortest, Math.min(stitch.length, longest - shortest)));
  const [first, last] = [Math.ceil((left + shortest) / step), Math.floor((right - shortest) / step)];
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => (first + k) * step);
}

/** A polygon with a corner wherever an edge passes a bend: what lies between is carried as straight edges. */
function cutAtBends(polygon: readonly Point[], piece: number): Point[] {
  return polygon.flatMap((from, k) => {
    const to = polygon[(k + 1) % polygon.length] ?? from;
    const [low, high] = [Math.min(from.x, to.x) / piece, Math.max(from.x, to.x) / piece];
    const bends = Array.from(
      { length: Math.max(0, Math.ceil(high) - Math.floor(low) - 1) },
      (_, n) => (Math.floor(low) + 1 + n) * piece,
    );
    const inTurn = from.x < to.x ? bends : bends.toReversed();
    return [from, ...inTurn.map((x) => between(from, to, (x - from.x) / (to.x - from.x)))];
  });
}
