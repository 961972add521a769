import { replaceRun } from "./editRuns";
import { placeOfNode, type DrawnPath } from "./nodes";

/** Opens a closed run at a node, or parts an open one there; the node stands on both sides of the cut. */
export function cutOpen(paths: readonly DrawnPath[], number: number): DrawnPath[] {
  const place = placeOfNode(paths, number);
  const run = place && paths[place.run];
  const node = place && run?.nodes[place.node];
  if (!place || !run || !node) return [...paths];
  const [before, after] = [
    { ...node, out: null, type: "corner" } as const,
    { ...node, in: null, type: "corner" } as const,
  ];
  if (run.closed) {
    const nodes = [after, ...run.nodes.slice(place.node + 1), ...run.nodes.slice(0, place.node), before];
    return replaceRun(paths, place.run, { closed: false, nodes });
  }
  if (place.node === 0 || place.node === run.nodes.length - 1) return [...paths];
  return replaceRun(
    paths,
    place.run,
    { closed: false, nodes: [...run.nodes.slice(0, place.node), before] },
    { closed: false, nodes: [after, ...run.nodes.slice(place.node + 1)] },
  );
}
