import type { PairValue } from "../../fields/stored";
import type { Resolver } from "../../fields/resolver";
import { NODE_PLACE, type DrawnPathValue, type NodeType, type NodeValue } from "./drawnValues";
import type { Point } from "../../geometry/point";

/** A node of a drawn outline, millimetres. Handles are relative to it; null where the curve leaves straight. */
export interface DrawnNode {
  /** Millimetres to the right. */
  readonly x: number;
  /** Millimetres down. */
  readonly y: number;
  /** The handle before it, from the node; null where the line comes in straight. */
  readonly in: Point | null;
  /** The handle after it, from the node; null where the line goes out straight. */
  readonly out: Point | null;
  /** Whether its handles move each other. */
  readonly type: NodeType;
}

/** One run of nodes. A closed one goes back from its last node to its first. */
export interface DrawnPath {
  /** Whether its end meets its beginning. */
  readonly closed: boolean;
  /** In the order they are drawn. */
  readonly nodes: readonly DrawnNode[];
}

/** A run of nodes with its numbers computed. */
export function resolveDrawnPath(
  { closed = false, nodes }: DrawnPathValue,
  resolver: Resolver,
  path: string,
): DrawnPath {
  return { closed, nodes: nodes.map((node, index) => resolveNode(node, resolver, `${path}.nodes[${index}]`)) };
}

/** Nodes without formulas are the same object as long as the file's are: what did not change need not be looked at again. */
const resolved = new WeakMap<NodeValue, DrawnNode>();

function resolveNode(node: NodeValue, resolver: Resolver, path: string): DrawnNode {
  const known = resolved.get(node);
  if (known) return known;
  const before = resolver.problems.length;
  const fresh = computeNode(node, resolver, path);
  if (resolver.problems.length === before && isPlain(node)) {
    resolved.set(node, fresh);
    stored.set(fresh, node);
  }
  return fresh;
}

function isPlain({ x, y, in: into, out }: NodeValue): boolean {
  return [x, y, into?.x, into?.y, out?.x, out?.y].every((value) => typeof value !== "string");
}

function computeNode(node: NodeValue, resolver: Resolver, path: string): DrawnNode {
  // A plain number in range needs no path, and outlines have thousands of them.
  const place = (value: NodeValue["x"], name: string) =>
    typeof value === "number" && Math.abs(value) <= NODE_PLACE.max
      ? value
      : resolver.number(value, NODE_PLACE, `${path}.${name}`);
  const handle = (pair: PairValue | undefined, name: string) =>
    pair ? { x: place(pair.x, `${name}.x`), y: place(pair.y, `${name}.y`) } : null;
  return {
    x: place(node.x, "x"),
    y: place(node.y, "y"),
    in: handle(node.in, "in"),
    out: handle(node.out, "out"),
    type: node.type ?? "corner",
  };
}

/** Decimals of a millimetre a drawn node is kept to: a nanometre. */
const PLACES = 6;
const rounded = (value: number) => Number(value.toFixed(PLACES));

/** Runs as the design file holds them, without what is at its default. */
export function toDrawnValues(paths: readonly DrawnPath[]): DrawnPathValue[] {
  return paths.map(({ closed, nodes }) => ({ ...(closed && { closed }), nodes: nodes.map(toNodeValue) }));
}

/** Nodes that were read from a file and not changed since are written as they stood there. */
const stored = new WeakMap<DrawnNode, NodeValue>();

function toNodeValue(node: DrawnNode): NodeValue {
  const known = stored.get(node);
  if (known) return known;
  const handle = (point: Point) => ({ x: rounded(point.x), y: rounded(point.y) });
  return {
    x: rounded(node.x),
    y: rounded(node.y),
    ...(node.in && !isNothing(node.in) && { in: handle(node.in) }),
    ...(node.out && !isNothing(node.out) && { out: handle(node.out) }),
    ...(node.type !== "corner" && { type: node.type }),
  };
}

/** Whether a handle has no length. */
export function isNothing({ x, y }: Point): boolean {
  return Math.abs(x) < 1e-9 && Math.abs(y) < 1e-9;
}

/** A corner with no handles. */
export function cornerAt({ x, y }: Point): DrawnNode {
  return { x, y, in: null, out: null, type: "corner" };
}

/** Where a node is among the runs. */
export interface NodePlace {
  /** The run's number. */
  readonly run: number;
  /** The node's number along it. */
  readonly node: number;
}

/** The place of the node of a number counted through all runs; null past the last. */
export function placeOfNode(paths: readonly DrawnPath[], number: number): NodePlace | null {
  let before = 0;
  for (const [run, { nodes }] of paths.entries()) {
    if (number < before + nodes.length) return { run, node: number - before };
    before += nodes.length;
  }
  return null;
}

/** The number of a run's first node, counted through all runs. */
export function firstNodeOf(paths: readonly DrawnPath[], run: number): number {
  return paths.slice(0, run).reduce((sum, { nodes }) => sum + nodes.length, 0);
}
