import { isStraight, pieceOf, pointAt, type Cubic } from "../../geometry/cubic";
import type { Point } from "../../geometry/point";
import { segmentBetween } from "./drawnPath";
import { replaceRun } from "./editRuns";
import { cornerAt, firstNodeOf, type DrawnNode, type DrawnPath } from "./nodes";

/** A segment of a run: the one that leaves the node of that number in it. */
export interface SegmentPlace {
  /** The run's number. */
  readonly run: number;
  /** The segment's number along it. */
  readonly segment: number;
}

/**
 * A new node on a segment at parameter t (0…1). The outline keeps its shape exactly: the curve is divided by
 * blossoming. The new node is smooth on a curve and a corner on a straight segment.
 */
export function addNode(paths: readonly DrawnPath[], { run, segment }: SegmentPlace, t: number): DrawnPath[] {
  const path = paths[run];
  const from = path?.nodes[segment];
  const next = path ? (segment + 1) % path.nodes.length : 0;
  const to = path?.nodes[next];
  if (!path || !from || !to || (next === 0 && !path.closed)) return [...paths];
  const nodes = [...path.nodes];
  const divided = divide(from, to, t);
  nodes[segment] = divided.from;
  nodes[next] = divided.to;
  nodes.splice(segment + 1, 0, divided.between);
  return replaceRun(paths, run, { closed: path.closed, nodes });
}

function divide(from: DrawnNode, to: DrawnNode, t: number): { from: DrawnNode; between: DrawnNode; to: DrawnNode } {
  const whole = segmentBetween(from, to);
  if (isStraight(whole)) return { from, between: cornerAt(pointAt(whole, t)), to };
  const [first, second]: [Cubic, Cubic] = [pieceOf(whole, 0, t), pieceOf(whole, t, 1)];
  const at = first[3];
  return {
    from: { ...from, out: relative(first[1], from), type: loosened(from) },
    between: { x: at.x, y: at.y, in: relative(first[2], at), out: relative(second[1], at), type: "smooth" },
    to: { ...to, in: relative(second[2], to), type: loosened(to) },
  };
}

/** One handle of a node has become shorter: its two are no mirror images any more. */
function loosened({ type }: DrawnNode): DrawnNode["type"] {
  return type === "symmetric" ? "smooth" : type;
}

function relative(point: Point, to: Point): Point {
  return { x: point.x - to.x, y: point.y - to.y };
}

/** The segments whose both ends are chosen, by node numbers counted through all runs. */
export function chosenSegments(paths: readonly DrawnPath[], chosen: ReadonlySet<number>): SegmentPlace[] {
  return paths.flatMap(({ closed, nodes }, run) => {
    const first = firstNodeOf(paths, run);
    const count = closed && nodes.length > 1 ? nodes.length : nodes.length - 1;
    return Array.from({ length: Math.max(0, count) }, (_, segment) => segment)
      .filter((segment) => chosen.has(first + segment) && chosen.has(first + ((segment + 1) % nodes.length)))
      .map((segment) => ({ run, segment }));
  });
}

/** One new node in the middle of each of the segments. Answers the new nodes' numbers too. */
export function addBetween(
  paths: readonly DrawnPath[],
  segments: readonly SegmentPlace[],
): { paths: DrawnPath[]; added: number[] } {
  let result = [...paths];
  const inOrder = [...segments].sort((a, b) => a.run - b.run || a.segment - b.segment);
  for (const segment of [...inOrder].reverse()) result = addNode(result, segment, 0.5);
  const added = inOrder.map(({ run, segment }, index) => {
    const before = inOrder.slice(0, index).filter((other) => other.run === run).length;
    return firstNodeOf(result, run) + segment + 1 + before;
  });
  return { paths: result, added };
}
