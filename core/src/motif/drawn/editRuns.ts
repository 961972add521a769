import { placeOfNode, type DrawnNode, type DrawnPath, type NodePlace } from "./nodes";

/** The runs with one replaced by others. */
export function replaceRun(paths: readonly DrawnPath[], run: number, ...by: readonly DrawnPath[]): DrawnPath[] {
  return [...paths.slice(0, run), ...by, ...paths.slice(run + 1)];
}

/** The runs with every node, by its number counted through all runs, changed. */
export function mapNodes(
  paths: readonly DrawnPath[],
  change: (node: DrawnNode, number: number) => DrawnNode,
): DrawnPath[] {
  let number = 0;
  return paths.map(({ closed, nodes }) => ({ closed, nodes: nodes.map((node) => change(node, number++)) }));
}

/** A node by its place among the runs; undefined where there is none. */
export function nodeAt(paths: readonly DrawnPath[], number: number): DrawnNode | null {
  const place = placeOfNode(paths, number);
  return place ? (paths[place.run]?.nodes[place.node] ?? null) : null;
}

/** Nodes of all runs together. */
export function countNodes(paths: readonly DrawnPath[]): number {
  return paths.reduce((sum, { nodes }) => sum + nodes.length, 0);
}

/** The same run travelled the other way. */
export function reverseRun({ closed, nodes }: DrawnPath): DrawnPath {
  return { closed, nodes: nodes.map((node) => ({ ...node, in: node.out, out: node.in })).reverse() };
}

/** Whether a node ends an open run, and at which side; null when it does not. */
export function endOf(paths: readonly DrawnPath[], { run, node }: NodePlace): "start" | "end" | null {
  const path = paths[run];
  if (!path || path.closed) return null;
  if (node === 0) return "start";
  return node === path.nodes.length - 1 ? "end" : null;
}
