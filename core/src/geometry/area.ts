import { EMPTY_BOX, joinBoxes, type Box } from "./box";
import { flattenPath } from "./flatten";
import { boxOfPath, type Path } from "./path";
import type { Point } from "./point";

/** An area that can be asked, many times, whether a point lies in it. Millimetres. */
export interface Area {
  readonly box: Box;
  contains: (point: Point) => boolean;
}

/** Flattened to this, millimetres. */
const FINE = 0.01;
const ROWS = 256;

interface Edge {
  readonly from: Point;
  readonly to: Point;
}

/** The area a path encloses by the nonzero rule; open runs are closed by a straight line. Edges are kept by level rows. */
export function areaWithin(path: Path): Area {
  const edges = flattenPath(path, FINE).flatMap((points) =>
    points.map((from, index): Edge => ({ from, to: points[(index + 1) % points.length] ?? from })),
  );
  const box = path.length === 0 ? EMPTY_BOX : joinBoxes(EMPTY_BOX, boxOfPath(path));
  const height = Math.max(1e-9, box.bottom - box.top);
  const rowOf = (y: number) => Math.min(ROWS - 1, Math.max(0, Math.floor(((y - box.top) / height) * ROWS)));
  const rows: Edge[][] = Array.from({ length: ROWS }, () => []);
  for (const edge of edges) {
    if (edge.from.y === edge.to.y) continue;
    const [first, last] = [rowOf(edge.from.y), rowOf(edge.to.y)].sort((a, b) => a - b);
    for (let row = first ?? 0; row <= (last ?? 0); row++) rows[row]?.push(edge);
  }
  return {
    box,
    contains: (point) =>
      point.y >= box.top && point.y <= box.bottom && windingOf(rows[rowOf(point.y)] ?? [], point) !== 0,
  };
}

/** How often edges go round a point: those that cross the level line to its right, down +1 and up −1. */
function windingOf(edges: readonly Edge[], { x, y }: Point): number {
  let winding = 0;
  for (const { from, to } of edges) {
    if (from.y <= y === to.y <= y) continue;
    const crossing = from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x);
    if (crossing > x) winding += to.y > from.y ? 1 : -1;
  }
  return winding;
}
