import { isStraight, pieceOf, straight, type Cubic } from "../cubic";
import { distance, type Point } from "../point";

/** A stretch of an outline between two places. */
export interface Piece {
  /** The place it begins at. */
  readonly from: number;
  /** The place it ends at. */
  readonly to: number;
  /** Its curve, which begins and ends exactly there. */
  readonly cubic: Cubic;
}

/** Where a curve passes a place between its ends. */
export interface Cut {
  /** The curve's parameter there. */
  readonly t: number;
  /** The number of the place. */
  readonly place: number;
}

/** A curve cut where it passes places; pieces whose ends are one place and that go nowhere are left out. */
export function cutAt(whole: Piece, cuts: readonly Cut[], at: (place: number) => Point): Piece[] {
  const stops: Cut[] = [{ t: 0, place: whole.from }, ...[...cuts].sort((a, b) => a.t - b.t), { t: 1, place: whole.to }];
  return stops.slice(1).flatMap((end, index): Piece[] => {
    const begin = stops[index] ?? end;
    const [p, q] = [at(begin.place), at(end.place)];
    const isWhole = begin.t === 0 && end.t === 1;
    const cubic = between(isWhole ? whole.cubic : pieceOf(whole.cubic, begin.t, end.t), p, q);
    return begin.place === end.place && !leaves(cubic) ? [] : [{ from: begin.place, to: end.place, cubic }];
  });
}

/** The same curve between two places near its ends: its handles go along. */
function between(cubic: Cubic, start: Point, end: Point): Cubic {
  if (isStraight(cubic)) return straight(start, end);
  const [p0, p1, p2, p3] = cubic;
  return [start, moved(p1, p0, start), moved(p2, p3, end), end];
}

function moved(point: Point, from: Point, to: Point): Point {
  return { x: point.x + to.x - from.x, y: point.y + to.y - from.y };
}

/** Less than this the handles of a curve that ends where it began do not leave it, millimetres. */
const STAYS = 0.05;

/** Whether a curve that ends where it began goes anywhere in between. */
function leaves([start, leave, arrive]: Cubic): boolean {
  return Math.max(distance(start, leave), distance(start, arrive)) > STAYS;
}
