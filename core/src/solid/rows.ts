import { at } from "../geometry/at";
import type { Rings } from "../form/area";

/**
 * Parallel rows within an area at an angle (degrees, anticlockwise from x) and a spacing (millimetres), laid on one grid
 * through the origin so that layers match. x and y of both ends of each, in turn.
 */
export function rowsWithin(rings: Rings, angle: number, spacing: number): Float64Array {
  const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const crossings = new Map<number, number[]>();
  for (const ring of rings) {
    ring.forEach((from, index) => {
      const to = ring[(index + 1) % ring.length] ?? from;
      // Seen turned so that rows run along x.
      const [x0, y0] = [from[0] * c + from[1] * s, from[1] * c - from[0] * s];
      const [x1, y1] = [to[0] * c + to[1] * s, to[1] * c - to[0] * s];
      const [low, high] = y0 < y1 ? [y0, y1] : [y1, y0];
      for (let row = Math.ceil(low / spacing); row * spacing < high; row++) {
        const x = x0 + ((x1 - x0) * (row * spacing - y0)) / (y1 - y0);
        const known = crossings.get(row);
        if (known) known.push(x);
        else crossings.set(row, [x]);
      }
    });
  }
  const ends: number[] = [];
  for (const [row, xs] of [...crossings].sort(([a], [b]) => a - b)) {
    const sorted = xs.sort((a, b) => a - b);
    const y = row * spacing;
    for (let k = 0; k + 1 < sorted.length; k += 2) {
      for (const x of [at(sorted, k), at(sorted, k + 1)]) ends.push(x * c - y * s, x * s + y * c);
    }
  }
  return Float64Array.from(ends);
}
