import type { StitchPlan } from "./stitchPlan";

/** Needle points this near to a place count, millimetres. */
const NEAR = 1.5;

/** The id of the part with the most needle points about a place; null where there are none. */
export function partSewnAt(
  { x, y, spans }: StitchPlan,
  place: { readonly x: number; readonly y: number },
): string | null {
  const counts = new Map<string, number>();
  for (const { part, from, to } of spans) {
    for (let k = from; k < to; k++) {
      if (Math.abs((x[k] ?? 0) - place.x) > NEAR || Math.abs((y[k] ?? 0) - place.y) > NEAR) continue;
      counts.set(part, (counts.get(part) ?? 0) + 1);
    }
  }
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  return most?.[0] ?? null;
}
