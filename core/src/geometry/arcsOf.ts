import { distanceToChord } from "./chordDistance";
import { isStraight, pieceOf, pointAt, tangentAt, type Cubic } from "./cubic";
import { distance, type Point } from "./point";

/** A straight move, or one along a circle about a centre, to an end. Millimetres, y down. */
export type ArcMove =
  | { readonly to: Point; readonly centre: null }
  | { readonly to: Point; readonly centre: Point; readonly clockwise: boolean };

/** Halving a curve more often than this finds nothing new. */
const DEEPEST = 12;
/** Arcs flatter than this radius are straight as far as any device can tell, millimetres. */
const LARGEST_RADIUS = 1e5;
/** Places at which a curve is compared with what stands for it. */
const PLACES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];

/** Moves that stay within a distance of curves that follow one another: one arc where one will do, else two that join smoothly (biarcs), else by halves. */
export function arcsOf(cubics: readonly Cubic[], within: number): ArcMove[] {
  const moves: ArcMove[] = [];
  let from = cubics[0]?.[0];
  let centre: Point | null = null;
  for (const move of cubics.flatMap((cubic) => movesOf(cubic, within, 0))) {
    const last = moves.at(-1);
    const both = last && from ? goneOn(from, last, move, centre) : null;
    if (both) moves[moves.length - 1] = both;
    else {
      from = last?.to ?? from;
      centre = move.centre;
      moves.push(move);
    }
  }
  return moves;
}

function movesOf(cubic: Cubic, within: number, depth: number): ArcMove[] {
  const [start, , , end] = cubic;
  if (isStraight(cubic)) return [straightTo(end)];
  if (PLACES.every((t) => distanceToChord(pointAt(cubic, t), start, end) <= within / 4)) return [straightTo(end)];
  const one = arcThrough(start, pointAt(cubic, 0.5), end);
  if (one && stays(cubic, start, one, within)) return [one];
  const two = biarc(cubic);
  if (two && PLACES.every((t) => offBoth(pointAt(cubic, t), start, two) <= within)) return two;
  if (depth === DEEPEST) return [straightTo(end)];
  return [...movesOf(pieceOf(cubic, 0, 0.5), within, depth + 1), ...movesOf(pieceOf(cubic, 0.5, 1), within, depth + 1)];
}

const straightTo = (to: Point): ArcMove => ({ to, centre: null });

function stays(cubic: Cubic, start: Point, arc: ArcMove, within: number): boolean {
  return PLACES.every((t) => offMove(pointAt(cubic, t), start, arc) <= within);
}

/** The arc from a point through another to a third; null where they lie on a line. */
function arcThrough(a: Point, b: Point, c: Point): ArcMove | null {
  const [bx, by, cx, cy] = [b.x - a.x, b.y - a.y, c.x - a.x, c.y - a.y];
  const cross = 2 * (bx * cy - by * cx);
  if (Math.abs(cross) < 1e-12) return null;
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const centre = { x: a.x + (cy * bb - by * cc) / cross, y: a.y + (bx * cc - cx * bb) / cross };
  return distance(centre, a) > LARGEST_RADIUS ? null : { to: c, centre, clockwise: cross > 0 };
}

/**
 * Two arcs with the curve's directions at its ends that meet with one direction, with equal lengths of tangent at both ends:
 * the root of d²(2 − 2 a·b) + 2d v·(a + b) − v·v = 0.
 */
function biarc(cubic: Cubic): ArcMove[] | null {
  const [start, , , end] = cubic;
  const [a, b] = [tangentAt(cubic, 0), tangentAt(cubic, 1)];
  const [vx, vy] = [end.x - start.x, end.y - start.y];
  const [square, linear, constant] = [
    2 - 2 * (a.x * b.x + a.y * b.y),
    2 * (vx * (a.x + b.x) + vy * (a.y + b.y)),
    -(vx * vx + vy * vy),
  ];
  const d =
    Math.abs(square) < 1e-12
      ? -constant / linear
      : (-linear + Math.sqrt(linear * linear - 4 * square * constant)) / (2 * square);
  if (!(d > 0) || !Number.isFinite(d)) return null;
  const middle = { x: (start.x + end.x + d * (a.x - b.x)) / 2, y: (start.y + end.y + d * (a.y - b.y)) / 2 };
  const first = arcAlong(start, a, middle);
  // The second seen from its end, and turned back.
  const second = arcAlong(end, { x: -b.x, y: -b.y }, middle);
  const turned: ArcMove = second.centre ? { ...second, to: end, clockwise: !second.clockwise } : straightTo(end);
  return [first, turned];
}

/** The arc that leaves a point in a direction and comes to another. */
function arcAlong(from: Point, { x, y }: Point, to: Point): ArcMove {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const across = x * dy - y * dx;
  // Along the normal (−y, x) the centre is as far as from both points.
  const radius = (dx * dx + dy * dy) / (2 * across);
  if (!Number.isFinite(radius) || Math.abs(radius) > LARGEST_RADIUS) return straightTo(to);
  return { to, centre: { x: from.x - y * radius, y: from.y + x * radius }, clockwise: radius > 0 };
}

/** How far a point is from a move that begins at another. */
export function offMove(point: Point, start: Point, move: ArcMove): number {
  if (!move.centre) return distanceToChord(point, start, move.to);
  const { centre, to } = move;
  const swept = sweepOf(start, move);
  const at = angleFrom(start, point, centre, move.clockwise);
  if (at <= swept) return Math.abs(distance(point, centre) - distance(start, centre));
  return Math.min(distance(point, start), distance(point, to));
}

/** The angle an arc that begins at a point goes round, radians, above 0; the whole turn where it ends where it began. */
export function sweepOf(start: Point, { to, centre, clockwise }: Extract<ArcMove, { clockwise: boolean }>): number {
  const angle = angleFrom(start, to, centre, clockwise);
  return angle < 1e-9 ? 2 * Math.PI : angle;
}

function angleFrom(start: Point, to: Point, centre: Point, clockwise: boolean): number {
  const [a, b] = [Math.atan2(start.y - centre.y, start.x - centre.x), Math.atan2(to.y - centre.y, to.x - centre.x)];
  const turned = clockwise ? b - a : a - b;
  const rest = turned % (2 * Math.PI);
  return rest < 0 ? rest + 2 * Math.PI : rest;
}

function offBoth(point: Point, start: Point, [first, second]: readonly ArcMove[]): number {
  if (!first || !second) return Infinity;
  return Math.min(offMove(point, start, first), offMove(point, first.to, second));
}

/** How near two centres are to be one, millimetres. */
const ONE_CENTRE = 0.002;

/**
 * Two moves as one, where the second goes on along the same line or circle, less than a whole turn in all; null where it does
 * not. `centre` is that of the first arc that was gone on along.
 */
function goneOn(from: Point, last: ArcMove, next: ArcMove, centre: Point | null): ArcMove | null {
  if (!last.centre || !next.centre) {
    const isOn =
      !last.centre &&
      !next.centre &&
      distanceToChord(last.to, from, next.to) < 1e-6 &&
      distance(from, next.to) > distance(from, last.to);
    return isOn ? straightTo(next.to) : null;
  }
  if (last.clockwise !== next.clockwise || sweepOf(from, last) + sweepOf(last.to, next) >= 1.75 * Math.PI) return null;
  const even = evenlyFar(last.centre, from, next.to);
  const isOne = [centre ?? last.centre, next.centre].every((other) => distance(even, other) <= ONE_CENTRE);
  return isOne ? { ...last, to: next.to, centre: even } : null;
}

/** The nearest point to a centre that is as far from one point as from another: an arc has one radius. */
function evenlyFar(centre: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const share = (((a.x + b.x) / 2 - centre.x) * dx + ((a.y + b.y) / 2 - centre.y) * dy) / (dx * dx + dy * dy);
  return { x: centre.x + share * dx, y: centre.y + share * dy };
}

/** The length of a move that begins at a point, millimetres. */
export function lengthOfMove(start: Point, move: ArcMove): number {
  return move.centre ? sweepOf(start, move) * distance(start, move.centre) : distance(start, move.to);
}
