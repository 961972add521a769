import type { NodeType } from "./drawnValues";
import { distance, type Point } from "../../geometry/point";
import { firstNodeOf, isNothing, type DrawnNode, type DrawnPath } from "./nodes";

/** Handles a node gets when it has none reach this share of the way to its neighbours. */
const REACH = 1 / 3;

/** The runs with the chosen nodes of another type; handles are laid in line, or drawn out where there are none. */
export function setNodeType(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, type: NodeType): DrawnPath[] {
  return paths.map((run, index) => {
    const first = firstNodeOf(paths, index);
    const nodes = run.nodes.map((node, k) => {
      if (!chosen.has(first + k)) return node;
      return type === "corner" ? { ...node, type } : inLine(node, neighbour(run, k - 1), neighbour(run, k + 1), type);
    });
    return { closed: run.closed, nodes };
  });
}

function neighbour({ nodes, closed }: DrawnPath, k: number): DrawnNode | null {
  if (closed) return nodes[(k + nodes.length) % nodes.length] ?? null;
  return nodes[k] ?? null;
}

function inLine(node: DrawnNode, before: DrawnNode | null, after: DrawnNode | null, type: NodeType): DrawnNode {
  const into = node.in && !isNothing(node.in) ? node.in : null;
  const out = node.out && !isNothing(node.out) ? node.out : null;
  const along = directionThrough(node, into, out, before, after);
  if (!along) return { ...node, type };
  const reach = (handle: Point | null, other: DrawnNode | null) =>
    handle ? Math.hypot(handle.x, handle.y) : other ? distance(node, other) * REACH : 0;
  const [lengthIn, lengthOut] = [reach(into, before), reach(out, after)];
  const same = (lengthIn + lengthOut) / 2;
  const [backward, forward] = type === "symmetric" ? [same, same] : [lengthIn, lengthOut];
  return {
    ...node,
    type,
    in: before ? { x: -along.x * backward, y: -along.y * backward } : null,
    out: after ? { x: along.x * forward, y: along.y * forward } : null,
  };
}

/** The direction the outline passes through a node in, as a unit vector. */
function directionThrough(
  node: DrawnNode,
  into: Point | null,
  out: Point | null,
  before: DrawnNode | null,
  after: DrawnNode | null,
): Point | null {
  const toward = (point: Point | null, sign: 1 | -1) => (point ? unit({ x: sign * point.x, y: sign * point.y }) : null);
  const between = before && after ? unit({ x: after.x - before.x, y: after.y - before.y }) : null;
  const [a, b] = [toward(into, -1), toward(out, 1)];
  if (a && b) return unit({ x: a.x + b.x, y: a.y + b.y }) ?? b;
  if (!a && !b && between) return between;
  if (a ?? b) return a ?? b;
  const other = after ?? before;
  const sign = after ? 1 : -1;
  return other ? unit({ x: sign * (other.x - node.x), y: sign * (other.y - node.y) }) : null;
}

function unit({ x, y }: Point): Point | null {
  const length = Math.hypot(x, y);
  return length < 1e-9 ? null : { x: x / length, y: y / length };
}
