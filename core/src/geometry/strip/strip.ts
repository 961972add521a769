import { pointAt, type Cubic } from "../cubic";
import { circleAt, polygonThrough } from "./ends";
import { subpathOf, type Path, type Subpath } from "../path";
import { measurePath, type MeasuredPath, type PlaceOnPath } from "../pathLength";
import { distance, type Point } from "../point";
import type { Cap, LineJoin } from "./lineShape";
import { angleBetween, smoothRuns, type SmoothRun } from "./smoothRuns";

/** How a strip ends and goes around corners. */
interface StripEnds {
  readonly cap: Cap;
  readonly join: LineJoin;
}

/** A run ready to be laid with strips. */
export interface StripLine {
  /** The line by its length. */
  readonly measured: MeasuredPath;
  /** Its stretches from corner to corner. */
  readonly runs: readonly SmoothRun[];
}

/** A run made ready to be laid with strips. */
export function stripLine(subpath: Subpath): StripLine {
  return { measured: measurePath(subpath), runs: smoothRuns(subpath) };
}

/** A corner's tip reaches no further than this many times half the width, as strokes have it. */
export const MITER_LIMIT = 4;
/** A strip whose width changes has a place to change at least this often along the line. */
const CHANGES = 48;
/** Shorter stretches of a line are none, millimetres. */
const LEAST_STRETCH = 1e-9;

/**
 * The area along a line from one length to another, its width (millimetres) told for each length. Several runs, all of
 * one orientation, to be filled by the nonzero rule. A closed line from 0 to its length has no ends.
 */
export function stripAlong(
  { measured, runs }: StripLine,
  from: number,
  to: number,
  widthAt: (length: number) => number,
  ends: StripEnds,
  changing = false,
): Path {
  const whole = measured.closed && to - from >= measured.length - 1e-9;
  const longest = changing ? measured.length / CHANGES : Infinity;
  const pieces = runs.flatMap((run) => {
    const [start, end] = [Math.max(from, run.from), Math.min(to, run.to)];
    if (end - start < LEAST_STRETCH) return [];
    // A stop that rounding has set beside an end would tell no way to it.
    const between = run.stops.filter((stop) => stop > start + LEAST_STRETCH && stop < end - LEAST_STRETCH);
    return [{ start, end, stops: finer([start, ...between, end], longest) }];
  });
  const strips = pieces.flatMap(({ stops }) => side(stops, measured, widthAt));
  const corners = pieces.flatMap(({ end, stops }, index) => {
    const next = pieces[index + 1] ?? (whole ? pieces[0] : undefined);
    if (!next) return [];
    const arriving = placeNear(measured, end, stops.at(-2) ?? end);
    const leaving = placeNear(measured, next.start, next.stops[1] ?? next.start);
    return cornerOf(arriving, leaving, widthAt(end) / 2, ends.join);
  });
  const first = pieces[0];
  const last = pieces.at(-1);
  if (whole || !first || !last) return [...strips, ...corners];
  const start = placeNear(measured, first.start, first.stops[1] ?? first.start);
  const end = placeNear(measured, last.end, last.stops.at(-2) ?? last.end);
  return [
    ...strips,
    ...corners,
    ...capOf(start, -1, widthAt(from) / 2, ends.cap),
    ...capOf(end, 1, widthAt(to) / 2, ends.cap),
  ];
}

/** What fills the outer side of the corner where a closed line begins and ends; nothing where it goes on smoothly there. */
export function cornerAtStart({ measured, runs }: StripLine, width: number, join: LineJoin): Path {
  const [first, last] = [runs[0], runs.at(-1)];
  if (!first || !last) return [];
  const arriving = placeNear(measured, last.to, last.stops.at(-2) ?? last.from);
  const leaving = placeNear(measured, first.from, first.stops[1] ?? first.to);
  return cornerOf(arriving, leaving, width / 2, join);
}

/** The place at a length, its direction that on the side of the other one: at a corner there are two. */
function placeNear(measured: MeasuredPath, at: number, other: number): PlaceOnPath {
  const { tangent, curvature } = measured.at(at + Math.sign(other - at) * Math.min(1e-6, Math.abs(other - at) / 2));
  return { point: measured.at(at).point, tangent, curvature };
}

/** Lengths with more between them where two are further apart than told. */
function finer(stops: readonly number[], longest: number): number[] {
  return stops.flatMap((stop, index) => {
    const next = stops[index + 1];
    if (next === undefined) return [stop];
    const count = Math.max(1, Math.ceil((next - stop) / longest));
    return Array.from({ length: count }, (_, k) => stop + ((next - stop) * k) / count);
  });
}

/** Edges are true to this, millimetres. */
const WITHIN = 0.002;
/** Half way between two stops an edge is no further along than this share of the way between them from where it should be. */
const ASTRAY = 0.25;
/** Halving a stretch between two stops more often than this finds nothing new. */
const DEEPEST = 10;

/** One strip without corners: its left edge forwards, its right edge back. */
function side(stops: readonly number[], measured: MeasuredPath, widthAt: (length: number) => number): Path {
  const slopeAt = (stop: number) => (widthAt(stop + 1e-4) - widthAt(stop - 1e-4)) / 4e-4;
  const edgesAt = (stop: number, other: number): Edges => {
    const [half, slope] = [widthAt(stop) / 2, slopeAt(stop)];
    const { point, tangent, curvature } = placeNear(measured, stop, other);
    const edge = (hand: 1 | -1): EdgePlace => {
      const normal = { x: -tangent.y * hand, y: tangent.x * hand };
      const along = 1 - hand * curvature * half;
      return {
        stop,
        point: { x: point.x + normal.x * half, y: point.y + normal.y * half },
        way: { x: tangent.x * along + normal.x * slope, y: tangent.y * along + normal.y * slope },
      };
    };
    return { left: edge(-1), right: edge(1), half, tangent, curvature };
  };
  const places = evenlyBent(
    stops.map((stop, index) => edgesAt(stop, (index === 0 ? stops[1] : stops[index - 1]) ?? stop)),
    (stop) => edgesAt(stop, stop),
  );
  const forwards = curvesThrough(places.map(({ left }) => left));
  const back = curvesThrough(places.map(({ right }) => right)).reverse();
  const turned = back.map(([start, leave, arrive, end]): Cubic => [end, arrive, leave, start]);
  const [startLeft, startRight] = [forwards[0]?.[0], turned.at(-1)?.[3]];
  const [endLeft, endRight] = [forwards.at(-1)?.[3], turned[0]?.[0]];
  if (!startLeft || !startRight || !endLeft || !endRight) return [];
  const across = (a: Point, b: Point): Cubic => [a, a, b, b];
  return [subpathOf([...forwards, across(endLeft, endRight), ...turned, across(startRight, startLeft)], true)];
}

/** Where the left edge and the right one are at one stop, and how the line runs there. */
interface Edges extends Pick<PlaceOnPath, "tangent" | "curvature"> {
  readonly left: EdgePlace;
  readonly right: EdgePlace;
  /** Half the width. */
  readonly half: number;
}

/** Places along both edges, with more between where the line bends so unevenly that curves through them would go astray. */
function evenlyBent(places: readonly Edges[], between: (stop: number) => Edges): Edges[] {
  const filled = (from: Edges, to: Edges, depth: number): Edges[] => {
    if (depth === DEEPEST || isArc(from, to)) return [to];
    const middle = between((from.left.stop + to.left.stop) / 2);
    if (isTrue(from.left, middle.left, to.left) && isTrue(from.right, middle.right, to.right)) return [to];
    return [...filled(from, middle, depth + 1), ...filled(middle, to, depth + 1)];
  };
  return places.flatMap((to, index) => filled(places[index - 1] ?? to, to, index === 0 ? DEEPEST : 0));
}

/** Bends are even when they differ by less, radians, or this share of the width's half. */
const EVEN = 0.005;

/** Whether a line bends evenly between two stops: as much at both, and by that much in all. Curves through its edges are true. */
function isArc(from: Edges, to: Edges): boolean {
  const [a, b] = [from.curvature, to.curvature];
  if (Math.abs(a - b) * Math.max(from.half, to.half) > EVEN) return false;
  const turn = angleBetween(from.tangent, to.tangent);
  return Math.abs(turn - (Math.abs(a + b) / 2) * (to.left.stop - from.left.stop)) < EVEN;
}

/** Whether the curve between two places passes a third, half way between them. */
function isTrue(from: EdgePlace, { point, way }: EdgePlace, to: EdgePlace): boolean {
  const [curve] = curvesThrough([from, to]);
  if (!curve) return true;
  const seen = pointAt(curve, 0.5);
  const [dx, dy] = [seen.x - point.x, seen.y - point.y];
  const pace = Math.hypot(way.x, way.y);
  const off = pace > 0 ? Math.abs(dx * way.y - dy * way.x) / pace : Math.hypot(dx, dy);
  return off <= WITHIN && Math.hypot(dx, dy) <= WITHIN + ASTRAY * distance(from.point, to.point);
}

interface EdgePlace {
  readonly stop: number;
  readonly point: Point;
  /** How the point moves as the length grows. */
  readonly way: Point;
}

/**
 * A handle reaches no further than this share of the way between its ends; half a circle's reach two thirds of it. Where a line
 * begins with a bend of no radius an edge would be said to go on by more than there is.
 */
const FARTHEST_HANDLE = 0.7;

/** Cubics with the given places and ways at their ends (Hermite). */
function curvesThrough(places: readonly EdgePlace[]): Cubic[] {
  return places.slice(1).map((to, index): Cubic => {
    const from = places[index] ?? to;
    const third = (to.stop - from.stop) / 3;
    const most = FARTHEST_HANDLE * distance(from.point, to.point);
    const handle = ({ point, way }: EdgePlace, by: number): Point => {
      const reach = Math.hypot(way.x, way.y) * Math.abs(by);
      const share = reach > most ? (by * most) / reach : by;
      return { x: point.x + way.x * share, y: point.y + way.y * share };
    };
    return [from.point, handle(from, third), handle(to, -third), to.point];
  });
}

/** What fills the outer side of a corner. */
function cornerOf(arriving: PlaceOnPath, leaving: PlaceOnPath, half: number, join: StripEnds["join"]): Path {
  const { point } = arriving;
  const [a, b] = [arriving.tangent, leaving.tangent];
  const angle = angleBetween(a, b);
  if (angle < 1e-3 || half <= 0) return [];
  if (join === "round") return [circleAt(point, half)];
  // The outer side is the left one where the line turns right.
  const hand = a.x * b.y - a.y * b.x > 0 ? -1 : 1;
  const outer = ({ x, y }: Point): Point => ({ x: point.x - y * hand * half, y: point.y + x * hand * half });
  const reach = 1 / Math.cos(angle / 2);
  const tip = { x: a.x - b.x, y: a.y - b.y };
  const length = Math.hypot(tip.x, tip.y);
  const spike =
    join === "miter" && reach <= MITER_LIMIT && length > 1e-9
      ? [{ x: point.x + (tip.x / length) * reach * half, y: point.y + (tip.y / length) * reach * half }]
      : [];
  return [polygonThrough([point, outer(a), ...spike, outer(b)])];
}

function capOf({ point, tangent }: PlaceOnPath, way: 1 | -1, half: number, cap: StripEnds["cap"]): Subpath[] {
  if (cap === "butt" || half <= 0) return [];
  if (cap === "round") return [circleAt(point, half)];
  const [ox, oy] = [tangent.x * way * half, tangent.y * way * half];
  const corner = (side: 1 | -1, out: 0 | 1) => ({
    x: point.x - oy * side + ox * out,
    y: point.y + ox * side + oy * out,
  });
  return [polygonThrough([corner(-1, 0), corner(-1, 1), corner(1, 1), corner(1, 0)])];
}
