import type { Box } from "../box";
import type { HalfEdges } from "./halfEdges";
import type { Nodes } from "../boolean/nodes";

/** A closed walk along half-edges with one face on its inner side. */
export interface Cycle {
  /** The half-edges that go round it, in order. */
  readonly halves: readonly number[];
  /** In cells squared: above 0 around the inside of a face, below 0 around a hole or the outside. */
  readonly area: number;
  /** The box around it, cells. */
  readonly box: Box;
}

/** Every closed walk, and for each half-edge the number of its own; -1 for those left out. */
export function cyclesOf({ next, origin }: HalfEdges, { x, y }: Nodes): { cycles: Cycle[]; cycleOf: Int32Array } {
  const cycleOf = new Int32Array(next.length).fill(-1);
  const cycles: Cycle[] = [];
  for (let start = 0; start < next.length; start++) {
    if (next[start] === -1 || cycleOf[start] !== -1) continue;
    const halves: number[] = [];
    let twice = 0;
    let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
    for (let half = start; cycleOf[half] === -1; half = next[half] ?? start) {
      cycleOf[half] = cycles.length;
      halves.push(half);
      const [p, q] = [origin[half] ?? 0, origin[half ^ 1] ?? 0];
      const [px, py] = [x[p] ?? 0, y[p] ?? 0];
      twice += px * (y[q] ?? 0) - (x[q] ?? 0) * py;
      left = Math.min(left, px);
      right = Math.max(right, px);
      top = Math.min(top, py);
      bottom = Math.max(bottom, py);
    }
    cycles.push({ halves, area: twice / 2, box: { left, top, right, bottom } });
  }
  return { cycles, cycleOf };
}

/** Whether a point lies within a walk, counted by the edges that cross the level line to its right. */
export function isWithin(
  px: number,
  py: number,
  { halves, box }: Cycle,
  { origin }: HalfEdges,
  { x, y }: Nodes,
): boolean {
  if (px < box.left || px > box.right || py < box.top || py > box.bottom) return false;
  let inside = false;
  for (const half of halves) {
    const [a, b] = [origin[half] ?? 0, origin[half ^ 1] ?? 0];
    const [ax, ay, bx, by] = [x[a] ?? 0, y[a] ?? 0, x[b] ?? 0, y[b] ?? 0];
    if (ay <= py === by <= py) continue;
    if (ax + ((py - ay) / (by - ay)) * (bx - ax) > px) inside = !inside;
  }
  return inside;
}
