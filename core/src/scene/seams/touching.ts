import { nearestParameter } from "../../geometry/boolean/meet";
import { pointAt, type Cubic } from "../../geometry/cubic";
import { chordsNeeded } from "../../geometry/flatten";
import { addTo } from "../../geometry/keyedLists";
import type { Point } from "../../geometry/point";
import { isStraightEdge, NO_CORNER, type Corner, type Edge } from "./edges";
import { splitCurves } from "./splitCurves";

/** A stretch along which two areas touch, each on its own side. Millimetres. */
export interface Seam {
  /** The way along it. */
  readonly points: readonly Point[];
  /** The area on its right hand as seen on the sheet, and the one on its left. */
  readonly sides: readonly [SeamSide, SeamSide];
}

/** One of the two areas beside a seam. */
export interface SeamSide {
  /** Its number. */
  readonly area: number;
  /** Its corners where the seam begins and ends. */
  readonly corners: readonly [Corner, Corner];
  /** The radius of the largest disc that surely fits in it, millimetres. */
  readonly room: number;
}

/** Places and lines nearer than this are one, millimetres. */
const SAME = 0.002;
/** Directions closer than this are one, radians. */
const ALIGNED = 1e-5;
/** Shorter stretches are not seen, millimetres. */
const LEAST = 0.01;
/** Curves are followed by chords true to this, millimetres. */
const FINE = 0.01;

/** Where areas touch: along sides in whole or in part. */
export function seamsBetween(edges: readonly Edge[]): Seam[] {
  const curves = splitCurves(
    edges.filter((edge) => !isStraightEdge(edge)),
    edges,
  );
  return [...alongLines(edges.filter(isStraightEdge)), ...alongCurves(curves)];
}

/** A straight side on the line through it, as seen along the line's own way. */
interface Laid {
  readonly edge: Edge;
  /** Upwards of −90° to 90°, radians. */
  readonly angle: number;
  readonly from: number;
  readonly to: number;
  readonly side: 1 | -1;
  readonly corners: readonly [Corner, Corner];
}

function alongLines(edges: readonly Edge[]): Seam[] {
  const laid = edges.map(layDown).sort((a, b) => a.angle - b.angle);
  return runsOf(laid, ({ angle }) => angle, ALIGNED).flatMap((alike) => {
    const angle = alike[0]?.angle ?? 0;
    const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
    const offsetOf = ({ edge: { cubic } }: Laid) => cubic[0].y * ux - cubic[0].x * uy;
    const sorted = alike.map((one) => ({ ...one, offset: offsetOf(one) })).sort((a, b) => a.offset - b.offset);
    return runsOf(sorted, ({ offset }) => offset, SAME).flatMap((line) => seamsOnLine(line, { x: ux, y: uy }));
  });
}

function layDown(edge: Edge): Laid {
  const [start, , , end] = edge.cubic;
  const [dx, dy] = [end.x - start.x, end.y - start.y];
  // One way for both: a hair short of straight down counts as straight up.
  const isTurned = dx < -1e-7 * Math.abs(dy) || (Math.abs(dx) <= 1e-7 * Math.abs(dy) && dy > 0);
  const way = isTurned ? -1 : 1;
  const angle = Math.atan2(dy * way, dx * way);
  const along = ({ x, y }: Point) => x * Math.cos(angle) + y * Math.sin(angle);
  const [from, to] = isTurned ? [along(end), along(start)] : [along(start), along(end)];
  const [first, last] = edge.corners;
  return {
    edge,
    angle,
    from,
    to,
    side: way === 1 ? edge.side : edge.side === 1 ? -1 : 1,
    corners: isTurned ? [last, first] : [first, last],
  };
}

/** Sorted things in runs, in which each follows the one before closely. */
function runsOf<T>(sorted: readonly T[], of: (one: T) => number, within: number): T[][] {
  const runs: T[][] = [];
  let last = -Infinity;
  for (const one of sorted) {
    if (of(one) - last > within) runs.push([]);
    runs.at(-1)?.push(one);
    last = of(one);
  }
  return runs;
}

function seamsOnLine(line: readonly (Laid & { readonly offset: number })[], way: Point): Seam[] {
  const sorted = line.toSorted((a, b) => a.from - b.from);
  const seams: Seam[] = [];
  let near: typeof sorted = [];
  for (const one of sorted) {
    near = near.filter(({ to }) => to > one.from + LEAST);
    for (const other of near) {
      const [from, to] = [one.from, Math.min(one.to, other.to)];
      if (other.side === one.side || other.edge.area === one.edge.area || to - from < LEAST) continue;
      const at = (t: number) => ({ x: way.x * t - way.y * one.offset, y: way.y * t + way.x * one.offset });
      const [right, left] = one.side === 1 ? [one, other] : [other, one];
      seams.push({ points: [at(from), at(to)], sides: [sideOf(right, from, to), sideOf(left, from, to)] });
    }
    near.push(one);
  }
  return seams;
}

/** Within a side an area goes straight on. */
function sideOf({ edge, from, to, corners }: Laid, start: number, end: number): SeamSide {
  const first = Math.abs(from - start) < SAME ? corners[0] : NO_CORNER;
  const last = Math.abs(to - end) < SAME ? corners[1] : NO_CORNER;
  return { area: edge.area, corners: [first, last], room: edge.room };
}

/** Curves that are one: their ends are in the same places, and the middle of one is on the other. */
function alongCurves(edges: readonly Edge[]): Seam[] {
  const known = new Map<string, Edge[]>();
  const seams: Seam[] = [];
  for (const edge of edges) {
    for (const key of keysOf(edge.cubic)) {
      for (const other of known.get(key) ?? []) {
        const seam = other.area === edge.area ? null : seamOfCurves(other, edge);
        if (seam) seams.push(seam);
      }
    }
    addTo(known, keyOf(edge.cubic), edge);
  }
  return seams;
}

const CELL = 0.05;
const cellOf = ({ x, y }: Point) => [Math.floor(x / CELL), Math.floor(y / CELL)] as const;
const betweenEnds = ([start, , , end]: Cubic): Point => ({ x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 });
const keyOf = (cubic: Cubic) => cellOf(betweenEnds(cubic)).join();

/** The cells the middle between a curve's ends may be in, seen from another that is the same. */
function keysOf(cubic: Cubic): string[] {
  const { x, y } = betweenEnds(cubic);
  const cells = [-SAME, SAME].flatMap((dx) => [-SAME, SAME].map((dy) => cellOf({ x: x + dx, y: y + dy }).join()));
  return [...new Set(cells)];
}

function seamOfCurves(a: Edge, b: Edge): Seam | null {
  const isSame = isNear(a.cubic[0], b.cubic[0]) && isNear(a.cubic[3], b.cubic[3]);
  const isBack = isNear(a.cubic[0], b.cubic[3]) && isNear(a.cubic[3], b.cubic[0]);
  const middle = pointAt(a.cubic, 0.5);
  if ((!isSame && !isBack) || !isNear(middle, pointAt(b.cubic, nearestParameter(b.cubic, middle, 0.5)))) return null;
  // Both beside it: the one runs back, or encloses the other hand.
  if ((a.side === b.side) === isSame && !(isSame && isBack)) return null;
  const count = chordsNeeded(a.cubic, FINE);
  const points = Array.from({ length: count + 1 }, (_, k) => pointAt(a.cubic, k / count));
  const own: SeamSide = { area: a.area, corners: a.corners, room: a.room };
  const other: SeamSide = { area: b.area, corners: isSame ? b.corners : [b.corners[1], b.corners[0]], room: b.room };
  return { points, sides: a.side === 1 ? [own, other] : [other, own] };
}

function isNear(a: Point, b: Point): boolean {
  return Math.abs(a.x - b.x) < SAME && Math.abs(a.y - b.y) < SAME;
}
