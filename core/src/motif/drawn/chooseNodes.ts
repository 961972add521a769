import type { Point } from "../../geometry/point";
import { isInside } from "../../geometry/pointInLoop";
import { firstNodeOf, placeOfNode, type DrawnPath } from "./nodes";

/** Numbers of every second, third … node of a run, from a given one on and round. Numbers count through all runs. */
export function everyNth(paths: readonly DrawnPath[], from: number, n: number): number[] {
  const place = placeOfNode(paths, from);
  const run = place && paths[place.run];
  if (!place || !run) return [];
  const first = firstNodeOf(paths, place.run);
  const count = run.nodes.length;
  const start = run.closed ? place.node : place.node % n;
  const steps = run.closed ? Math.floor((count - 1) / n) + 1 : Math.ceil((count - start) / n);
  return Array.from({ length: steps }, (_, k) => first + ((start + k * n) % count));
}

/** Of several chosen nodes every second, third … one along each run, from the first on. */
export function everyNthOf(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, n: number): number[] {
  return paths.flatMap(({ nodes }, run) => {
    const first = firstNodeOf(paths, run);
    return nodes.flatMap((_, k) => (chosen.has(first + k) ? [first + k] : [])).filter((_, k) => k % n === 0);
  });
}

/** Chosen nodes with one more each way along their runs. */
export function grownChoice(paths: readonly DrawnPath[], chosen: ReadonlySet<number>): number[] {
  return paths.flatMap(({ nodes, closed }, run) => {
    const first = firstNodeOf(paths, run);
    const isChosen = (k: number) => {
      const at = closed ? (k + nodes.length) % nodes.length : k;
      return at >= 0 && at < nodes.length && chosen.has(first + at);
    };
    return nodes.flatMap((_, k) => (isChosen(k - 1) || isChosen(k) || isChosen(k + 1) ? [first + k] : []));
  });
}

/** Numbers of the nodes inside a drawn loop, millimetres. */
export function nodesInside(paths: readonly DrawnPath[], loop: readonly Point[]): number[] {
  return paths.flatMap(({ nodes }, run) => {
    const first = firstNodeOf(paths, run);
    return nodes.flatMap((node, k) => (isInside(node, loop) ? [first + k] : []));
  });
}
