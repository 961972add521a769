import { flattenPath } from "../geometry/flatten";
import { boxGap, flatOutline, isWithin, leastBetween, withPoint, type FlatOutline } from "../geometry/flatOutline";
import { boxOfPath, segmentsOf, transformPath, type Path } from "../geometry/path";
import { distance, type Point } from "../geometry/point";
import { shapeOfCopy } from "../rules/copyOutlines";
import { once } from "../geometry/once";
import { matrixAt } from "../rules/placements";
import type { PartGeometry } from "../scene/scene";

/** Outlines are looked at by chords true to this share of their size; to tell the tightest pairs, by coarser ones. */
const FINE = 1 / 40_000;
const COARSE = 1 / 500;
/** Between two points of an outline lies at most this share of its size. */
const STEP = 1 / 60;
/** Copies looked at: the first ones stand for the others. */
const MOST = 120;
/** Pairs that are looked at by fine chords. */
const TIGHTEST = 3;
/** Outlines share a point where nodes of theirs are nearer than this share of their size. */
const SHARED = 1e-6;
/** Within this share of its size from a shared point a gap counts as wide as it would be there ... */
const REACH = 0.5;
/** ... and within this it is not looked at: what is left of it is lost in the chords. */
const TOO_NEAR = 0.03;

/** Farther than anything. */
const NOTHING_NEAR = Infinity;

interface Copy {
  readonly nodes: readonly Point[];
  readonly outline: FlatOutline;
  readonly size: number;
}

/**
 * The least gap between copies and their nearest neighbours, millimetres; below 0 how deep they lie over each other. Where
 * outlines share a point, such as the foot they are turned about, the gap opens from there: nearer to it than half the copy's
 * size it counts as wide as it would become there. Null where there are not two copies.
 */
export function clearanceOf({ shapes, placements }: Pick<PartGeometry, "shapes" | "placements">): number | null {
  const outlines = Array.from({ length: Math.min(placements.count, MOST) }, (_, copy) =>
    transformPath(shapeOfCopy({ shapes, placements }, copy).path, matrixAt(placements.matrices, copy)),
  );
  const fine = outlines.map((path) => once(() => copyOf(path, FINE)));
  const gaps = tightest(outlines.map((path) => copyOf(path, COARSE))).flatMap(([i, k]) => {
    const [one, other] = [fine[i], fine[k]];
    return one && other ? [gapBetween(one(), other())] : [];
  });
  return gaps.length > 0 ? gaps.reduce((least, gap) => Math.min(least, gap)) : null;
}

/** The pairs of copies that are nearest to each other, as far as coarse chords tell. */
function tightest(copies: readonly Copy[]): (readonly [number, number])[] {
  let pairs: { readonly pair: readonly [number, number]; readonly gap: number }[] = [];
  copies.forEach((one, i) => {
    for (let k = i + 1; k < copies.length; k++) {
      const other = copies[k];
      const most = pairs.length < TIGHTEST ? Infinity : (pairs.at(-1)?.gap ?? Infinity);
      if (
        !other ||
        isNothing(one) ||
        isNothing(other) ||
        boxGap(one.outline.box, other.outline.box) > Math.max(0, most)
      )
        continue;
      pairs = [...pairs, { pair: [i, k] as const, gap: gapBetween(one, other) }]
        .sort((a, b) => a.gap - b.gap)
        .slice(0, TIGHTEST);
    }
  });
  return pairs.map(({ pair }) => pair);
}

const isNothing = ({ outline }: Copy) => outline.points.length === 0;

function copyOf(path: Path, share: number): Copy {
  const box = boxOfPath(path);
  const size = Math.max(box.right - box.left, box.bottom - box.top);
  const runs = flattenPath(path, Math.max(1e-7, size * share)).map((points, run) => ({
    points: inShortSteps(points, size * STEP),
    closed: path[run]?.closed ?? false,
  }));
  const outline = flatOutline(runs);
  const nodes = path.flatMap((run) => segmentsOf(run).flatMap(([from, , , to]) => [from, to]));
  // Its middle too: of copies that lie on each other no point of an outline is within the other.
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  return { nodes, size, outline: isWithin(middle.x, middle.y, outline) ? withPoint(outline, middle) : outline };
}

/** Points with more between those that are far apart: corners alone do not tell where sides cross. */
function inShortSteps(points: readonly Point[], longest: number): Point[] {
  return points.flatMap((to, k) => {
    const from = points[k - 1];
    const steps = from ? Math.max(1, Math.ceil(distance(from, to) / longest)) : 1;
    return Array.from({ length: steps }, (_, step) => {
      const share = (step + 1) / steps;
      return from ? { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share } : to;
    });
  });
}

function gapBetween(a: Copy, b: Copy): number {
  const size = Math.max(a.size, b.size);
  const shared = a.nodes.filter((node) => b.nodes.some((other) => distance(node, other) < size * SHARED));
  const widened = (x: number, y: number, gap: number) => {
    if (shared.length === 0) return gap;
    const far = shared.reduce((least, own) => Math.min(least, distance({ x, y }, own)), NOTHING_NEAR);
    if (far < size * TOO_NEAR) return NOTHING_NEAR;
    return far < size * REACH ? (gap * size * REACH) / far : gap;
  };
  return leastBetween(a.outline, b.outline, NOTHING_NEAR, widened);
}
