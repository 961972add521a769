import { endsOf, type Errand } from "./errand";

/** Neighbours that are known of an errand. */
export const NEIGHBOURS = 10;

/** For each errand those nearest to either end of it, nearest first, and how far they are. */
export function neighboursOf(errands: readonly Errand[]): { near: Int32Array; away: Float64Array } {
  const index = endsOf(errands);
  const near = new Int32Array(errands.length * NEIGHBOURS).fill(-1);
  const away = new Float64Array(errands.length * NEIGHBOURS);
  errands.forEach((own, errand) => {
    const least = new Map<number, number>();
    for (const { x, y } of own.from === own.to ? [own.to] : [own.from, own.to]) {
      for (const end of index.neighbors(x, y, 2 * NEIGHBOURS + 2)) {
        const other = end >> 1;
        const at = end % 2 === 0 ? errands[other]?.from : errands[other]?.to;
        if (other === errand || !at) continue;
        least.set(other, Math.min(least.get(other) ?? Infinity, Math.hypot(at.x - x, at.y - y)));
      }
    }
    const nearest = [...least].sort((a, b) => a[1] - b[1] || a[0] - b[0]).slice(0, NEIGHBOURS);
    nearest.forEach(([other, distance], k) => {
      near[errand * NEIGHBOURS + k] = other;
      away[errand * NEIGHBOURS + k] = distance;
    });
  });
  return { near, away };
}
