import { toDegrees } from "../angle";
import { fewArcSegments } from "../arc";
import { meet } from "../boolean/meet";
import { atEvenPace, isStraight, pieceOf, straight, type Cubic } from "../cubic";
import { spend } from "../effort";
import { segmentsOf, subpathOf, type Subpath } from "../path";
import { distance, type Point } from "../point";
import { besideCubic, outwards } from "./besideCubic";
import type { OffsetCorners } from "./offsetCorners";
import { withoutTightBends } from "./withoutTightBends";

/** A pointed corner reaches no further than this many times the distance. */
const MITER_LIMIT = 4;
/** Directions closer than this are one, radians. */
const SMOOTH = 1e-6;
/** What the curve beside a segment takes. */
const SECONDS_A_SEGMENT = 30e-6;
/** Sharper inner corners are gone by way of the corner, radians: lines beside their sides hardly cross. */
const SHARPEST = 3;

/**
 * The run beside a closed one, every corner gone around: outer ones as asked, inner ones by way of the corner itself, which
 * leaves what is too much running the wrong way round. It may cross itself.
 */
export function besideRun(run: Subpath, by: number, asked: OffsetCorners, within: number): Subpath {
  spend((run.coordinates.length / 6) * SECONDS_A_SEGMENT);
  const segments = segmentsOf(run)
    .filter(([a, b, c, d]) => distance(a, d) > 1e-9 || distance(a, b) > 1e-9 || distance(a, c) > 1e-9)
    .flatMap((segment) => withoutTightBends(segment, by));
  const beside = segments.map((segment) => besideCubic(segment, by, within));
  const corners = segments.map((segment, index): Cubic[] => {
    const next = (index + 1) % segments.length;
    const after = segments[next] ?? segment;
    const trimmed = trimmedTogether(segment, after, beside[index]?.at(-1), beside[next]?.[0], by);
    if (!trimmed) return cornerBetween(segment, after, by, asked, within);
    beside[index]?.splice(-1, 1, trimmed[0]);
    beside[next]?.splice(0, 1, trimmed[1]);
    return [];
  });
  return subpathOf(
    beside.flatMap((own, index) => [...own, ...(corners[index] ?? [])]),
    true,
  );
}

/** How far round two directions are from each other, radians, clockwise on the sheet above 0. */
const turnBetween = (m: Point, n: Point) => Math.atan2(m.x * n.y - m.y * n.x, m.x * n.x + m.y * n.y);

/**
 * The curves beside two sides cut where they cross at an inner corner; null where they do not, or not in the halves next to
 * the corner.
 */
function trimmedTogether(
  before: Cubic,
  after: Cubic,
  first: Cubic | undefined,
  second: Cubic | undefined,
  by: number,
): readonly [Cubic, Cubic] | null {
  if (before === after || !first || !second) return null;
  const turn = turnBetween(outwards(before, 1), outwards(after, 0));
  if (turn * by >= -SMOOTH || Math.abs(turn) > SHARPEST) return null;
  const met = meet(evenly(first), 1, evenly(second), 0);
  if (!met || met.t < 0.5 || met.u > 0.5) return null;
  return [upTo(first, met.t, met.point), onFrom(second, met.u, met.point)];
}

const evenly = (cubic: Cubic) => (isStraight(cubic) ? atEvenPace(cubic) : cubic);

function upTo(cubic: Cubic, t: number, end: Point): Cubic {
  if (isStraight(cubic)) return straight(cubic[0], end);
  const [start, leave, arrive] = pieceOf(cubic, 0, t);
  return [start, leave, arrive, end];
}

function onFrom(cubic: Cubic, t: number, start: Point): Cubic {
  if (isStraight(cubic)) return straight(start, cubic[3]);
  const [, leave, arrive, end] = pieceOf(cubic, t, 1);
  return [start, leave, arrive, end];
}

/** Where lines at a distance beside two sides meet: cos²(turn / 2) of the distance is half of 1 + m·n. */
function tipAt(corner: Point, m: Point, n: Point, by: number): Point {
  const share = by / (1 + m.x * n.x + m.y * n.y);
  return { x: corner.x + (m.x + n.x) * share, y: corner.y + (m.y + n.y) * share };
}

function cornerBetween(before: Cubic, after: Cubic, by: number, corners: OffsetCorners, within: number): Cubic[] {
  const [corner, m, n] = [after[0], outwards(before, 1), outwards(after, 0)];
  const turn = turnBetween(m, n);
  if (Math.abs(turn) < SMOOTH) return [];
  const at = ({ x, y }: Point) => ({ x: corner.x + x * by, y: corner.y + y * by });
  const [from, to] = [at(m), at(n)];
  if (turn * by < 0) return [straight(from, corner), straight(corner, to)];
  if (corners === "round") return arcAround(corner, from, to, turn, within / 4);
  // The tip of a mitre is 1 / cos(turn / 2) times the distance away.
  if (corners === "bevel" || Math.cos(turn / 2) * MITER_LIMIT < 1) return [straight(from, to)];
  const tip = tipAt(corner, m, n, by);
  return [straight(from, tip), straight(tip, to)];
}

/** An arc about a corner, its ends exactly where the sides beside it end. */
function arcAround(corner: Point, from: Point, to: Point, turn: number, within: number): Cubic[] {
  const start = toDegrees(Math.atan2(from.x - corner.x, corner.y - from.y));
  const arcs = fewArcSegments(distance(corner, from), start, start + toDegrees(turn), corner, within);
  return arcs.map(([a, b, c, d], index): Cubic => [index === 0 ? from : a, b, c, index === arcs.length - 1 ? to : d]);
}
