import { spend } from "../effort";
import { numbersOf } from "./wholeNumbers";

/** What each edge takes at each height where one begins or ends: the engine goes through all that are there. Seconds. */
const SECONDS_AN_EDGE_THERE = 4e-8;
/** Fewer vertices than this are not looked at: whatever they do is soon done. */
const FEW = 5_000;
/** Numbers a vertex is written with: x, y and its own. */
const STRIDE = 3;

/** Counts what the engine's sweep over polygons takes, by their heights and how many edges are at each. Throws a TooMuchEffort. */
export function spendOnSweep(polygons: readonly BigInt64Array[]): void {
  const vertices = polygons.reduce((sum, { length }) => sum + length / STRIDE, 0);
  if (vertices < FEW) return;
  const heights = new Float64Array(vertices);
  let [to, gone] = [0, 0];
  for (const polygon of polygons) {
    const cells = numbersOf(polygon);
    let before = cells[cells.length - STRIDE + 1] ?? 0;
    for (let k = 1; k < cells.length; k += STRIDE) {
      const y = cells[k] ?? 0;
      heights[to++] = y;
      gone += Math.abs(y - before);
      before = y;
    }
  }
  heights.sort();
  const [least, most] = [heights[0] ?? 0, heights[vertices - 1] ?? 0];
  const edgesThere = gone / Math.max(1, most - least);
  spend(distinct(heights) * edgesThere * SECONDS_AN_EDGE_THERE);
}

/** How many different numbers a sorted list has. */
function distinct(sorted: Float64Array): number {
  let count = 0;
  for (let k = 0; k < sorted.length; k++) if (k === 0 || sorted[k] !== sorted[k - 1]) count++;
  return count;
}
