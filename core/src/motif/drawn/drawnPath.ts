import { isStraight, type Cubic } from "../../geometry/cubic";
import { segmentsOf, subpathOf, type Path } from "../../geometry/path";
import { distance, type Point } from "../../geometry/point";
import { isNothing, placeOfNode, type DrawnNode, type DrawnPath } from "./nodes";

/** The curve from one node to the next. */
export function segmentBetween(from: DrawnNode, to: DrawnNode): Cubic {
  return [
    { x: from.x, y: from.y },
    { x: from.x + (from.out?.x ?? 0), y: from.y + (from.out?.y ?? 0) },
    { x: to.x + (to.in?.x ?? 0), y: to.y + (to.in?.y ?? 0) },
    { x: to.x, y: to.y },
  ];
}

/** The segments of a run; segment k leaves node k. */
export function segmentsOfRun({ nodes, closed }: DrawnPath): Cubic[] {
  const count = closed && nodes.length > 1 ? nodes.length : nodes.length - 1;
  return Array.from({ length: Math.max(0, count) }, (_, k) => {
    const from = nodes[k];
    const to = nodes[(k + 1) % nodes.length];
    if (!from || !to) throw new Error("a run has a segment without nodes");
    return segmentBetween(from, to);
  });
}

/** Runs as an outline; a single node draws nothing. */
export function pathOfDrawn(paths: readonly DrawnPath[]): Path {
  return paths.filter(({ nodes }) => nodes.length > 1).map((run) => subpathOf(segmentsOfRun(run), run.closed));
}

/** The same runs with the outline beginning at a node: its run comes first, turned so that the node does when it is closed. */
export function beginAt(paths: readonly DrawnPath[], start: number): readonly DrawnPath[] {
  const place = placeOfNode(paths, start);
  const first = place && paths[place.run];
  if (!place || !first || start === 0) return paths;
  const nodes = first.closed ? [...first.nodes.slice(place.node), ...first.nodes.slice(0, place.node)] : first.nodes;
  return [{ ...first, nodes }, ...paths.filter((_, run) => run !== place.run)];
}

/** An outline as nodes: each becomes smooth or symmetric where its handles say so. */
export function drawnOfPath(path: Path): DrawnPath[] {
  return path.flatMap((subpath) => {
    const segments = segmentsOf(subpath).filter((segment) => !isPoint(segment));
    if (segments.length === 0) return [];
    return [runOf(segments, subpath.closed)];
  });
}

function isPoint([start, leave, arrive, end]: Cubic): boolean {
  return [leave, arrive, end].every((point) => distance(point, start) < 1e-9);
}

function runOf(segments: readonly Cubic[], closed: boolean): DrawnPath {
  const [first] = segments;
  const last = segments.at(-1);
  if (!first || !last) return { closed, nodes: [] };
  const meets = distance(first[0], last[3]) < 1e-6;
  const nodes = segments.map((segment, k): DrawnNode => {
    const before = k > 0 ? segments[k - 1] : closed && meets ? last : undefined;
    return nodeOf(segment[0], before, segment);
  });
  if (!(closed && meets)) nodes.push(nodeOf(last[3], last, undefined));
  return { closed, nodes };
}

function nodeOf(at: Point, before: Cubic | undefined, after: Cubic | undefined): DrawnNode {
  const arrive = before && !isStraight(before) ? relative(before[2], at) : null;
  const leave = after && !isStraight(after) ? relative(after[1], at) : null;
  const into = arrive && !isNothing(arrive) ? arrive : null;
  const out = leave && !isNothing(leave) ? leave : null;
  return { x: at.x, y: at.y, in: into, out, type: typeOf(into, out) };
}

function relative(point: Point, to: Point): Point {
  return { x: point.x - to.x, y: point.y - to.y };
}

function typeOf(into: Point | null, out: Point | null): DrawnNode["type"] {
  if (!into || !out) return "corner";
  const lengths = Math.hypot(into.x, into.y) * Math.hypot(out.x, out.y);
  const inLine = Math.abs(into.x * out.y - into.y * out.x) < 1e-4 * lengths && into.x * out.x + into.y * out.y < 0;
  if (!inLine) return "corner";
  return distance({ x: -into.x, y: -into.y }, out) < 1e-4 * Math.sqrt(lengths) ? "symmetric" : "smooth";
}
