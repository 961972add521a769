import { firstNodeOf, type DrawnPath } from "./nodes";

/** The runs without the nodes of those numbers; their neighbours keep their handles. Empty runs go. */
export function removeNodes(paths: readonly DrawnPath[], chosen: ReadonlySet<number>): DrawnPath[] {
  return paths
    .map(({ closed, nodes }, run): DrawnPath => {
      const first = firstNodeOf(paths, run);
      const kept = nodes.filter((_, node) => !chosen.has(first + node));
      return { closed: closed && kept.length > 1, nodes: kept };
    })
    .filter(({ nodes }) => nodes.length > 0);
}
