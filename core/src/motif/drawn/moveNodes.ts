import { apply, type Matrix } from "../../geometry/matrix";
import type { Point } from "../../geometry/point";
import { mapNodes } from "./editRuns";
import type { DrawnNode, DrawnPath } from "./nodes";

/** The runs with the chosen nodes moved, their handles with them. Millimetres. */
export function moveNodes(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, by: Point): DrawnPath[] {
  return mapNodes(paths, (node, number) =>
    chosen.has(number) ? { ...node, x: node.x + by.x, y: node.y + by.y } : node,
  );
}

/** The runs with the chosen nodes turned, scaled or mirrored, their handles with them. */
export function transformNodes(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, by: Matrix): DrawnPath[] {
  return mapNodes(paths, (node, number) => (chosen.has(number) ? transformNode(node, by) : node));
}

/** A node under a map; its handles turn with it. */
export function transformNode(node: DrawnNode, by: Matrix): DrawnNode {
  const [a, b, c, d] = by;
  const handle = (point: Point | null) => point && { x: a * point.x + c * point.y, y: b * point.x + d * point.y };
  return { ...node, ...apply(by, node), in: handle(node.in), out: handle(node.out) };
}

/** One of a node's two handles. */
export type HandleSide = "in" | "out";

/** The runs with one handle pulled to a point; the other keeps in line or in mirror image as the node's type says. */
export function moveHandle(paths: readonly DrawnPath[], number: number, side: HandleSide, to: Point): DrawnPath[] {
  return mapNodes(paths, (node, at) =>
    at === number ? pulled(node, side, { x: to.x - node.x, y: to.y - node.y }) : node,
  );
}

function pulled(node: DrawnNode, side: HandleSide, handle: Point): DrawnNode {
  const other = side === "in" ? "out" : "in";
  const length = Math.hypot(handle.x, handle.y);
  const opposite = node[other];
  const kept = opposite ? Math.hypot(opposite.x, opposite.y) : 0;
  if (node.type === "corner" || length < 1e-9) return { ...node, [side]: handle };
  const scale = node.type === "symmetric" ? 1 : kept / length;
  if (scale === 0) return { ...node, [side]: handle };
  return { ...node, [side]: handle, [other]: { x: -handle.x * scale, y: -handle.y * scale } };
}
