import { distance, type Point } from "../../geometry/point";
import { tangentAt } from "../../geometry/cubic";
import { segmentBetween } from "./drawnPath";
import { mapNodes } from "./editRuns";
import { firstNodeOf, type DrawnNode, type DrawnPath } from "./nodes";

/** The runs with the chosen nodes pushed away from a point, or towards it below 0, their handles with them. Millimetres. */
export function pushFrom(
  paths: readonly DrawnPath[],
  chosen: ReadonlySet<number>,
  from: Point,
  by: number,
): DrawnPath[] {
  return mapNodes(paths, (node, number) => {
    const away = distance(node, from);
    if (!chosen.has(number) || away < 1e-9) return node;
    return { ...node, x: node.x + ((node.x - from.x) / away) * by, y: node.y + ((node.y - from.y) / away) * by };
  });
}

/** The same along each node's own normal: to the left of travel, which is out of what runs clockwise on the sheet. */
export function pushAlongNormals(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, by: number): DrawnPath[] {
  return paths.map((path, run) => {
    const first = firstNodeOf(paths, run);
    const nodes = path.nodes.map((node, k) => {
      const normal = chosen.has(first + k) ? normalAt(path, k) : null;
      return normal ? { ...node, x: node.x + normal.x * by, y: node.y + normal.y * by } : node;
    });
    return { ...path, nodes };
  });
}

/** The mean of the normals of what comes to a node and what leaves it; null where they undo each other. */
function normalAt({ nodes, closed }: DrawnPath, k: number): Point | null {
  const neighbour = (at: number): DrawnNode | undefined => (closed ? nodes.at(at % nodes.length) : nodes[at]);
  const [node, before, after] = [nodes[k], k === 0 && !closed ? undefined : neighbour(k - 1), neighbour(k + 1)];
  if (!node) return null;
  const into = before ? tangentAt(segmentBetween(before, node), 1) : { x: 0, y: 0 };
  const out = after ? tangentAt(segmentBetween(node, after), 0) : { x: 0, y: 0 };
  const [x, y] = [into.y + out.y, -(into.x + out.x)];
  const length = Math.hypot(x, y);
  return length < 1e-9 ? null : { x: x / length, y: y / length };
}
