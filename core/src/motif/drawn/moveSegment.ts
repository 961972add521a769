import { isStraight } from "../../geometry/cubic";
import type { Point } from "../../geometry/point";
import type { SegmentPlace } from "./addNode";
import { segmentBetween } from "./drawnPath";
import { replaceRun } from "./editRuns";
import { moveNodes } from "./moveNodes";
import { firstNodeOf, type DrawnNode, type DrawnPath } from "./nodes";

/**
 * A segment pulled by its middle so that its middle moves by so much, millimetres: a straight one takes both
 * its ends along, a curve bends, its ends staying. The middle of a cubic moves by 3/4 of what both its handles do.
 */
export function moveSegment(paths: readonly DrawnPath[], { run, segment }: SegmentPlace, by: Point): DrawnPath[] {
  const path = paths[run];
  const from = path?.nodes[segment];
  const next = path ? (segment + 1) % path.nodes.length : 0;
  const to = path?.nodes[next];
  if (!path || !from || !to) return [...paths];
  if (isStraight(segmentBetween(from, to))) {
    const first = firstNodeOf(paths, run);
    return moveNodes(paths, new Set([first + segment, first + next]), by);
  }
  const bent = (handle: Point | null): Point => ({
    x: (handle?.x ?? 0) + (by.x * 4) / 3,
    y: (handle?.y ?? 0) + (by.y * 4) / 3,
  });
  const nodes = [...path.nodes];
  nodes[segment] = loose({ ...from, out: bent(from.out) });
  nodes[next] = loose({ ...to, in: bent(to.in) });
  return replaceRun(paths, run, { closed: path.closed, nodes });
}

/** A node whose one handle was bent away is no longer smooth. */
function loose(node: DrawnNode): DrawnNode {
  const { in: into, out } = node;
  if (node.type === "corner" || !into || !out) return node;
  const cross = Math.abs(into.x * out.y - into.y * out.x);
  const inLine = cross <= 1e-6 * Math.hypot(into.x, into.y) * Math.hypot(out.x, out.y);
  return inLine ? { ...node, type: "smooth" } : { ...node, type: "corner" };
}
