import type { Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import type { Arena } from "../form/arena";
import { DisjointSets } from "../geometry/disjointSets";
import { addTo } from "../geometry/keyedLists";

/** Told how much of the work is done, 0…1, and asked to wait a moment; rejects where the work is to stop. */
export type Breath = (share: number) => Promise<void>;

/** Solids that touch are united so many in one call of the engine: more would keep it too long. */
const TOGETHER = 4;

interface Boxed {
  readonly solid: Manifold;
  readonly min: readonly number[];
  readonly max: readonly number[];
}

/**
 * All solids as one. Those whose boxes are apart are only put together; others are united in a tree whose halves lie
 * apart, so that every union is of a few neighbours. `breathe` is told after every step what share of this is done.
 */
export async function unitedSolids(solids: readonly Manifold[], arena: Arena, breathe: Breath): Promise<Manifold> {
  const { Manifold } = solidEngine();
  const boxed = solids.filter((solid) => !solid.isEmpty()).map((solid): Boxed => ({ solid, ...solid.boundingBox() }));
  const clusters = clustersOf(boxed);
  const steps = { done: 0, all: clusters.reduce((sum, cluster) => sum + stepsOf(cluster.length), 0) };
  const whole: Manifold[] = [];
  for (const cluster of clusters) whole.push(await treeOf(cluster, arena, steps, breathe));
  const [first] = whole;
  return first && whole.length === 1 ? first : arena.keep(Manifold.compose(whole));
}

function stepsOf(count: number): number {
  if (count <= 1) return 0;
  return count <= TOGETHER ? 1 : 1 + stepsOf(Math.floor(count / 2)) + stepsOf(Math.ceil(count / 2));
}

async function treeOf(
  cluster: readonly Boxed[],
  arena: Arena,
  steps: { done: number; readonly all: number },
  breathe: Breath,
): Promise<Manifold> {
  const [only] = cluster;
  if (!only) return arena.keep(solidEngine().Manifold.union([]));
  if (cluster.length === 1) return only.solid;
  const halves =
    cluster.length <= TOGETHER
      ? cluster.map(({ solid }) => solid)
      : await inTurn(halvesOf(cluster), (half) => treeOf(half, arena, steps, breathe));
  const united = arena.keep(solidEngine().Manifold.union(halves));
  // The engine computes when it is asked for something.
  united.numTri();
  if (cluster.length > TOGETHER) for (const half of halves) arena.drop(half);
  steps.done++;
  await breathe(steps.done / steps.all);
  return united;
}

async function inTurn<T, R>(items: readonly T[], work: (item: T) => Promise<R>): Promise<R[]> {
  const results: R[] = [];
  for (const item of items) results.push(await work(item));
  return results;
}

/** Halves on either side of the middle of the longest way. */
function halvesOf(cluster: readonly Boxed[]): readonly [readonly Boxed[], readonly Boxed[]] {
  const middleOf = ({ min, max }: Boxed, axis: number) => ((min[axis] ?? 0) + (max[axis] ?? 0)) / 2;
  const spread = [0, 1, 2].map((axis) => {
    let [low, high] = [Infinity, -Infinity];
    for (const one of cluster) {
      low = Math.min(low, middleOf(one, axis));
      high = Math.max(high, middleOf(one, axis));
    }
    return high - low;
  });
  const axis = spread.indexOf(Math.max(...spread));
  const sorted = [...cluster].sort((a, b) => middleOf(a, axis) - middleOf(b, axis));
  const half = Math.floor(sorted.length / 2);
  return [sorted.slice(0, half), sorted.slice(half)];
}

/** Solids whose boxes touch, directly or by way of others, together. */
function clustersOf(boxed: readonly Boxed[]): Boxed[][] {
  const sets = new DisjointSets(boxed.length);
  // Swept along x: only boxes that overlap there are compared.
  const order = boxed.map((_, index) => index).sort((a, b) => (boxed[a]?.min[0] ?? 0) - (boxed[b]?.min[0] ?? 0));
  let open: number[] = [];
  for (const index of order) {
    const one = boxed[index];
    if (!one) continue;
    open = open.filter((other) => (boxed[other]?.max[0] ?? 0) >= (one.min[0] ?? 0));
    for (const other of open) if (touch(one, boxed[other])) sets.join(index, other);
    open.push(index);
  }
  const clusters = new Map<number, Boxed[]>();
  boxed.forEach((one, index) => addTo(clusters, sets.rootOf(index), one));
  return [...clusters.values()];
}

function touch(a: Boxed, b: Boxed | undefined): boolean {
  return (
    b !== undefined &&
    [0, 1, 2].every((axis) => (a.min[axis] ?? 0) <= (b.max[axis] ?? 0) && (b.min[axis] ?? 0) <= (a.max[axis] ?? 0))
  );
}

/** Whether the boxes of two solids touch. */
export function boxesTouch(a: Manifold, b: Manifold): boolean {
  return touch({ solid: a, ...a.boundingBox() }, { solid: b, ...b.boundingBox() });
}
