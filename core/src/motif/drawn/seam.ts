import { distance, polar, type Point } from "../../geometry/point";
import { mapNodes } from "./editRuns";
import { firstNodeOf, type DrawnNode, type DrawnPath } from "./nodes";

/** A line copies meet at: a mirror line or a side of the wedge, in the motif's space. Degrees, 0° upright. */
export interface SeamLine {
  /** A point on it, millimetres. */
  readonly through: Point;
  /** Its direction: 0° is up, clockwise. */
  readonly angle: number;
  /** What it is called. */
  readonly words: string;
}

/** An end point that nearly meets something, and where it would have to stand to meet it. */
interface SeamMiss {
  /** The node's number, counted through all runs. */
  readonly node: number;
  /** What it misses. */
  readonly missed: string;
  /** By how much, millimetres. */
  readonly by: number;
  readonly to: Point;
}

/** What is nearer than this meets, millimetres. */
const MEETS = 1e-6;

/** End points of open runs that miss a seam line or each other by less than a tolerance (millimetres). */
export function seamMisses(paths: readonly DrawnPath[], lines: readonly SeamLine[], tolerance: number): SeamMiss[] {
  const ends = paths.flatMap((run, index) => endsOf(run, firstNodeOf(paths, index)));
  return ends.flatMap((end, index) => {
    const misses = [
      ...lines.map((line): SeamMiss => missOfLine(end, line)),
      ...ends.slice(index + 1).map((other): SeamMiss => missOfEnd(end, other)),
    ];
    const meets = misses.some(({ by }) => by <= MEETS);
    const [nearest] = misses.filter(({ by }) => by > MEETS && by < tolerance).sort((a, b) => a.by - b.by);
    return meets || !nearest ? [] : [nearest];
  });
}

interface End {
  readonly number: number;
  readonly node: DrawnNode;
}

function endsOf({ closed, nodes }: DrawnPath, first: number): End[] {
  const [start, end] = [nodes[0], nodes.at(-1)];
  if (closed || !start || !end || nodes.length < 2) return [];
  return [
    { number: first, node: start },
    { number: first + nodes.length - 1, node: end },
  ];
}

function missOfLine({ number, node }: End, { through, angle, words }: SeamLine): SeamMiss {
  const unit = polar(1, angle);
  const along = (node.x - through.x) * unit.x + (node.y - through.y) * unit.y;
  const to = { x: through.x + along * unit.x, y: through.y + along * unit.y };
  return { node: number, missed: words, by: distance(node, to), to };
}

function missOfEnd({ number, node }: End, other: End): SeamMiss {
  return {
    node: number,
    missed: "another end",
    by: distance(node, other.node),
    to: { x: other.node.x, y: other.node.y },
  };
}

/** The runs with every missing end moved to where it meets. */
export function mendSeams(paths: readonly DrawnPath[], misses: readonly SeamMiss[]): DrawnPath[] {
  const targets = new Map(misses.map(({ node, to }) => [node, to]));
  return mapNodes(paths, (node, number) => ({ ...node, ...targets.get(number) }));
}
