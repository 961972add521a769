import { about, multiply, reflection, rotation, type Matrix } from "../../geometry/matrix";
import { directionOf, distance, meanOf, type Point } from "../../geometry/point";
import { mapNodes, nodeAt } from "./editRuns";
import { transformNode } from "./moveNodes";
import type { DrawnNode, DrawnPath } from "./nodes";

/** Nodes match when a symmetry brings them this near to each other, in shares of the outline's extent. */
const NEAR = 1e-4;

/** A map that carries an outline's nodes onto each other: where each node goes, and whether it turns the outline over. */
interface NodeSymmetry {
  readonly matrix: Matrix;
  readonly mirrors: boolean;
  /** For each node the number of the node it is carried to. */
  readonly to: readonly number[];
}

/** Every turn and mirroring about the middle of the nodes that carries all nodes and handles onto each other. */
export function nodeSymmetries(paths: readonly DrawnPath[]): NodeSymmetry[] {
  const nodes = paths.flatMap((run) => run.nodes);
  if (nodes.length < 2) return [];
  const middle = meanOf(nodes);
  const extent = Math.max(...nodes.map((node) => distance(node, middle)));
  const far = nodes.find((node) => distance(node, middle) > extent * (1 - NEAR));
  if (!far || extent === 0) return [];
  const start = directionOf(middle, far);
  const peers = nodes.filter((node) => Math.abs(distance(node, middle) - distance(far, middle)) < extent * NEAR);
  const found: NodeSymmetry[] = [];
  for (const peer of peers) {
    const turn = about(middle, rotation(directionOf(middle, peer) - start));
    const flip = multiply(turn, reflection(start, middle));
    for (const [matrix, mirrors] of [
      [turn, false],
      [flip, true],
    ] as const) {
      const to = carried(nodes, matrix, mirrors, extent * NEAR);
      if (to && !isIdentity(to, mirrors)) found.push({ matrix, mirrors, to });
    }
  }
  return found;
}

function isIdentity(to: readonly number[], mirrors: boolean): boolean {
  return !mirrors && to.every((target, node) => target === node);
}

function carried(nodes: readonly DrawnNode[], matrix: Matrix, mirrors: boolean, within: number): number[] | null {
  const to: number[] = [];
  for (const node of nodes) {
    const image = imageOf(node, matrix, mirrors);
    const target = nodes.findIndex((other) => distance(other, image) < within && sameHandles(other, image, within));
    if (target < 0) return null;
    to.push(target);
  }
  return to;
}

/** A node carried by a symmetry; a mirroring turns the outline's sense over, so its handles change places. */
function imageOf(node: DrawnNode, matrix: Matrix, mirrors: boolean): DrawnNode {
  const image = transformNode(node, matrix);
  return mirrors ? { ...image, in: image.out, out: image.in } : image;
}

const NOTHING: Point = { x: 0, y: 0 };

function sameHandles(a: DrawnNode, b: DrawnNode, within: number): boolean {
  return (
    distance(a.in ?? NOTHING, b.in ?? NOTHING) < within * 10 &&
    distance(a.out ?? NOTHING, b.out ?? NOTHING) < within * 10
  );
}

/** Numbers of all nodes that the symmetries carry the given ones to, themselves included. */
export function orbitOf(chosen: ReadonlySet<number>, symmetries: readonly NodeSymmetry[]): Set<number> {
  const orbit = new Set(chosen);
  for (const { to } of symmetries) {
    for (const number of chosen) orbit.add(to[number] ?? number);
  }
  return orbit;
}

/**
 * What was done to some nodes, done to all that match them: every changed node's images take its change,
 * turned or mirrored with them. `symmetries` are those of the outline before the change.
 */
export function spreadOverOrbit(
  before: readonly DrawnPath[],
  after: readonly DrawnPath[],
  changed: ReadonlySet<number>,
  symmetries: readonly NodeSymmetry[],
): DrawnPath[] {
  const images = new Map<number, DrawnNode>();
  for (const number of changed) {
    const node = nodeAt(after, number);
    if (!node || !nodeAt(before, number)) continue;
    for (const { matrix, mirrors, to } of symmetries) {
      const target = to[number];
      if (target !== undefined && !changed.has(target)) images.set(target, imageOf(node, matrix, mirrors));
    }
  }
  return mapNodes(after, (node, number) => images.get(number) ?? node);
}
