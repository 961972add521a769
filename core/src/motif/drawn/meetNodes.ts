import { tangentAt } from "../../geometry/cubic";
import type { Point } from "../../geometry/point";
import { segmentBetween } from "./drawnPath";
import { endOf, mapNodes, nodeAt } from "./editRuns";
import { joinRuns } from "./joinRuns";
import { placeOfNode, type DrawnNode, type DrawnPath } from "./nodes";
import { removeNodes } from "./removeNodes";

/**
 * The segments that end at two nodes continued to where they cross: neighbours, a corner cut off, become that corner; ends
 * of open runs are moved there and joined. Null where they are neither, or run alongside each other.
 */
export function meetNodes(paths: readonly DrawnPath[], first: number, second: number): DrawnPath[] | null {
  const [a, b] = [first, second].sort((p, q) => p - q).map((number) => placeOfNode(paths, number));
  const [low, high] = [Math.min(first, second), Math.max(first, second)];
  const run = a && paths[a.run];
  if (!a || !b || !run || low === high) return null;
  const isNeighbour =
    a.run === b.run && (b.node === a.node + 1 || (run.closed && a.node === 0 && b.node === run.nodes.length - 1));
  const wraps = isNeighbour && b.node !== a.node + 1;
  const ends = !isNeighbour && endOf(paths, a) !== null && endOf(paths, b) !== null;
  if (!isNeighbour && !ends) return null;
  const sideOfA = isNeighbour ? (wraps ? "after" : "before") : endOf(paths, a) === "start" ? "after" : "before";
  const sideOfB = isNeighbour ? (wraps ? "before" : "after") : endOf(paths, b) === "start" ? "after" : "before";
  const lines = [lineAt(paths, low, sideOfA), lineAt(paths, high, sideOfB)];
  const at = lines[0] && lines[1] ? crossing(lines[0], lines[1]) : null;
  if (!at) return null;
  const moved = mapNodes(paths, (node, number) => (number === low || number === high ? { ...node, ...at } : node));
  if (!isNeighbour) return joinRuns(moved, low, high);
  const kept = nodeAt(moved, low);
  const gone = nodeAt(moved, high);
  if (!kept || !gone) return null;
  const corner: DrawnNode = {
    ...kept,
    type: "corner",
    in: wraps ? gone.in : kept.in,
    out: wraps ? kept.out : gone.out,
  };
  return removeNodes(
    mapNodes(moved, (node, number) => (number === low ? corner : node)),
    new Set([high]),
  );
}

interface Line {
  readonly through: Point;
  readonly way: Point;
}

/** The line on which a node's segment on one side ends. */
function lineAt(paths: readonly DrawnPath[], number: number, side: "before" | "after"): Line | null {
  const place = placeOfNode(paths, number);
  const run = place && paths[place.run];
  const node = run?.nodes[place?.node ?? 0];
  if (!place || !run || !node) return null;
  const at = place.node + (side === "before" ? -1 : 1);
  const other = run.closed ? run.nodes.at(at % run.nodes.length) : run.nodes[at];
  if (!other) return null;
  const way = side === "before" ? tangentAt(segmentBetween(other, node), 1) : tangentAt(segmentBetween(node, other), 0);
  return { through: node, way };
}

function crossing(a: Line, b: Line): Point | null {
  const determinant = a.way.x * b.way.y - a.way.y * b.way.x;
  if (Math.abs(determinant) < 1e-6) return null;
  const [dx, dy] = [b.through.x - a.through.x, b.through.y - a.through.y];
  const t = (dx * b.way.y - dy * b.way.x) / determinant;
  return { x: a.through.x + a.way.x * t, y: a.through.y + a.way.y * t };
}
