import { distanceToChord } from "../geometry/chordDistance";
import { boxOfPoints, type Box } from "../geometry/box";
import { flattenPath } from "../geometry/flatten";
import { apply, sizeOf, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import type { Point } from "../geometry/point";
import { windingOf, type Chord } from "../geometry/winding";
import { toDegrees } from "../geometry/angle";
import { matrixAt } from "../rules/placements";
import type { PartGeometry } from "./scene";

/** What is told of each copy, in their order. */
export interface GapReport {
  /** Millimetres from outline to outline to the nearest other copy; where they overlap, how deep, below 0. */
  readonly gap: Float64Array;
  /** The number of that copy; -1 where there is no other. */
  readonly nearest: Int32Array;
  /** How large each is, the motif's own size as 1. */
  readonly size: Float64Array;
  /** Degrees. */
  readonly turn: Float64Array;
  /** How many copies there are; only the first ones are measured where there are very many. */
  readonly copies: number;
}

const MOST_MEASURED = 2_000;
/** Outlines are flattened to this share of their size. */
const FINENESS = 1 / 400;

/** True distances between the first copies of a part, two thousand at most. */
export function gapsOf(
  { copies: { placements, shapes } }: Pick<PartGeometry, "copies">,
  most = MOST_MEASURED,
): GapReport {
  const count = Math.min(placements.count, most);
  const flat = shapes.map(({ path }) => flattened(path));
  const outlines = Array.from({ length: count }, (_, copy) =>
    outlineAt(flat[placements.shapeOf?.[copy] ?? 0] ?? [], matrixAt(placements.matrices, copy)),
  );
  const gap = new Float64Array(count);
  const nearest = new Int32Array(count).fill(-1);
  const size = new Float64Array(count);
  const turn = new Float64Array(count);
  for (let copy = 0; copy < count; copy++) {
    const found = nearestTo(copy, outlines);
    gap[copy] = found.gap;
    nearest[copy] = found.copy;
    const matrix = matrixAt(placements.matrices, copy);
    size[copy] = sizeOf(matrix);
    turn[copy] = toDegrees(Math.atan2(matrix[1], matrix[0]));
  }
  return { gap, nearest, size, turn, copies: placements.count };
}

interface Run {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** An outline as it stands on the sheet, flattened; chords of closed runs bound an area. */
interface Outline extends Box {
  readonly points: readonly Point[];
  readonly chords: readonly Chord[];
  readonly bounds: readonly Chord[];
}

function flattened(path: Path): Run[] {
  const all = path.flatMap(({ coordinates }) => coordinates.map(Math.abs));
  const tolerance = Math.max(1e-4, all.reduce((most, entry) => Math.max(most, entry), 0) * FINENESS);
  return flattenPath(path, tolerance).map((points, run) => ({ points, closed: path[run]?.closed ?? false }));
}

function outlineAt(runs: readonly Run[], matrix: Matrix): Outline {
  const placed = runs.map(({ points, closed }) => ({ closed, points: points.map((point) => apply(matrix, point)) }));
  const points = placed.flatMap((run) => run.points);
  const bounds = placed.filter(({ closed }) => closed).flatMap(chordsOf);
  return { points, chords: placed.flatMap(chordsOf), bounds, ...boxOfPoints(points) };
}

function chordsOf({ points, closed }: Run): Chord[] {
  const last = points.length - (closed ? 0 : 1);
  return points.slice(0, Math.max(0, last)).map((from, k) => [from, points[(k + 1) % points.length] ?? from]);
}

/** How far the boxes of two outlines are apart; 0 where they overlap. */
function boxGap(a: Outline, b: Outline): number {
  const across = Math.max(0, a.left - b.right, b.left - a.right);
  const down = Math.max(0, a.top - b.bottom, b.top - a.bottom);
  return Math.hypot(across, down);
}

/** The nearest other copy: the one whose box is nearest is measured first, then only those whose boxes are nearer still. */
function nearestTo(copy: number, outlines: readonly Outline[]): { gap: number; copy: number } {
  const own = outlines[copy];
  if (!own || own.points.length === 0) return { gap: 0, copy: -1 };
  const apart = outlines.map((other, index) => (index === copy ? Infinity : boxGap(own, other)));
  let first = -1;
  apart.forEach((gap, index) => {
    if (gap < (apart[first] ?? Infinity)) first = index;
  });
  let best = { gap: Infinity, copy: -1 };
  const measure = (index: number) => {
    const other = outlines[index];
    const gap = other ? gapBetween(own, other) : Infinity;
    if (gap < best.gap) best = { gap, copy: index };
  };
  if (first >= 0) measure(first);
  apart.forEach((gap, index) => {
    if (index !== first && gap < Math.max(best.gap, 1e-9)) measure(index);
  });
  return best.copy < 0 ? { gap: 0, copy: -1 } : best;
}

/** The distance of two outlines; below 0 how deep the one reaches into the other. */
function gapBetween(a: Outline, b: Outline): number {
  const depth = Math.max(deepest(a, b), deepest(b, a));
  if (depth > 0) return -depth;
  if (boxGap(a, b) === 0 && cross(a, b)) return 0;
  return Math.min(nearestPoint(a, b), nearestPoint(b, a));
}

function nearestPoint(a: Outline, b: Outline): number {
  let least = Infinity;
  for (const point of a.points) least = Math.min(least, distanceTo(point, b));
  return least;
}

/** How far the deepest point of one outline lies inside the other; 0 where none does. */
function deepest(a: Outline, b: Outline): number {
  let most = 0;
  for (const point of a.points) {
    if (point.x < b.left || point.x > b.right || point.y < b.top || point.y > b.bottom) continue;
    if (windingOf(b.bounds, point) !== 0) most = Math.max(most, distanceTo(point, b));
  }
  return most;
}

function distanceTo(point: Point, { chords }: Outline): number {
  let least = Infinity;
  for (const [from, to] of chords) least = Math.min(least, distanceToChord(point, from, to));
  return least;
}

function cross(a: Outline, b: Outline): boolean {
  return a.chords.some(([p, q]) => b.chords.some(([r, s]) => chordsCross(p, q, r, s)));
}

function chordsCross(p: Point, q: Point, r: Point, s: Point): boolean {
  const side = (a: Point, b: Point, c: Point) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
  return side(p, q, r) * side(p, q, s) < 0 && side(r, s, p) * side(r, s, q) < 0;
}
