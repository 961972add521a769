import { at } from "../geometry/at";
import type { Box } from "../geometry/box";
import { flattenPath } from "../geometry/flatten";
import {
  areCrossing,
  boxGap,
  flatOutline,
  leastBetween,
  type FlatOutline,
  type FlatRun,
} from "../geometry/flatOutline";
import { apply, sizeOf, type Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
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

const MOST_MEASURED = 50_000;
/** Outlines are flattened to this share of their size; where there are very many, less finely. */
const FINENESS = 1 / 400;
const COARSE = 1 / 60;
const MANY = 4_000;

/** True distances between the first copies of a part, fifty thousand at most. */
export function gapsOf(
  { copies: { placements, shapes } }: Pick<PartGeometry, "copies">,
  most = MOST_MEASURED,
): GapReport {
  const count = Math.min(placements.count, most);
  const fineness = count > MANY ? COARSE : FINENESS;
  const flat = shapes.map(({ path }) => flattened(path, fineness));
  const outlines = Array.from({ length: count }, (_, copy) =>
    outlineAt(flat[placements.shapeOf?.[copy] ?? 0] ?? [], matrixAt(placements.matrices, copy)),
  );
  const { gap, nearest } = nearestOf(outlines);
  const size = new Float64Array(count);
  const turn = new Float64Array(count);
  for (let copy = 0; copy < count; copy++) {
    const matrix = matrixAt(placements.matrices, copy);
    size[copy] = sizeOf(matrix);
    turn[copy] = toDegrees(Math.atan2(matrix[1], matrix[0]));
  }
  return { gap, nearest, size, turn, copies: placements.count };
}

function flattened(path: Path, fineness: number): FlatRun[] {
  const all = path.flatMap(({ coordinates }) => coordinates.map(Math.abs));
  const tolerance = Math.max(1e-4, all.reduce((most, entry) => Math.max(most, entry), 0) * fineness);
  return flattenPath(path, tolerance).map((points, run) => ({ points, closed: path[run]?.closed ?? false }));
}

function outlineAt(runs: readonly FlatRun[], matrix: Matrix): FlatOutline {
  return flatOutline(
    runs.map(({ points, closed }) => ({ closed, points: points.map((point) => apply(matrix, point)) })),
  );
}

/**
 * For each outline the nearest other and how far it is. They are looked through from the left to the right, to either side
 * as far as one could still be nearer: no outline is nearer than its box.
 */
function nearestOf(outlines: readonly FlatOutline[]): Pick<GapReport, "gap" | "nearest"> {
  const gap = new Float64Array(outlines.length).fill(Infinity);
  const nearest = new Int32Array(outlines.length).fill(-1);
  const isSome = ({ points }: FlatOutline) => points.length > 0;
  const order = [...outlines.keys()].filter((copy) => isSome(at(outlines, copy)));
  order.sort((a, b) => at(outlines, a).box.left - at(outlines, b).box.left);
  const widest = order.reduce((most, copy) => Math.max(most, widthOf(at(outlines, copy))), 0);
  const meet = (one: number, other: number) => {
    const [a, b] = [at(outlines, one), at(outlines, other)];
    const most = gap[one] ?? 0;
    if (boxGap(a.box, b.box) > Math.max(0, most)) return;
    const found = gapBetween(a, b, most);
    // No less than it was asked for says nothing of the other one.
    if (found >= most) return;
    for (const [own, next] of [
      [one, other],
      [other, one],
    ] as const) {
      if (found >= (gap[own] ?? 0)) continue;
      gap[own] = found;
      nearest[own] = next;
    }
  };
  // Neighbours in order first: they are likely to be near, and then little is left to look at.
  order.forEach((copy, k) => k > 0 && copy !== order[k - 1] && meet(order[k - 1] ?? copy, copy));
  const sides = (side: keyof Box) => Float64Array.from(order, (copy) => at(outlines, copy).box[side]);
  const [lefts, rights, tops, bottoms] = [sides("left"), sides("right"), sides("top"), sides("bottom")];
  order.forEach((copy, k) => {
    const [left, right, top, bottom] = [lefts[k] ?? 0, rights[k] ?? 0, tops[k] ?? 0, bottoms[k] ?? 0];
    let within = Math.max(0, gap[copy] ?? 0);
    const lookAt = (next: number) => {
      if ((tops[next] ?? 0) - bottom > within || top - (bottoms[next] ?? 0) > within) return;
      meet(copy, at(order, next));
      within = Math.max(0, gap[copy] ?? 0);
    };
    for (let next = k + 1; next < order.length && (lefts[next] ?? 0) - right <= within; next++) lookAt(next);
    for (let next = k - 1; next >= 0 && left - (lefts[next] ?? 0) - widest <= within; next--) lookAt(next);
  });
  for (let copy = 0; copy < gap.length; copy++) if (nearest[copy] === -1) gap[copy] = 0;
  return { gap, nearest };
}

const widthOf = ({ box }: FlatOutline) => box.right - box.left;

/** The distance of two outlines; below 0 how deep the one reaches into the other. At least `most` where it is no less. */
function gapBetween(a: FlatOutline, b: FlatOutline, most: number): number {
  const least = leastBetween(a, b, most);
  return least > 0 && boxGap(a.box, b.box) === 0 && areCrossing(a, b) ? 0 : least;
}
