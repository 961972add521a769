import type { Point } from "./point";

/** Whether a point is inside a closed loop of straight sides. Even-odd: a ray to the right crosses it an odd number of times. */
export function isInside({ x, y }: Point, loop: readonly Point[]): boolean {
  let inside = false;
  loop.forEach((a, k) => {
    const b = loop[(k + 1) % loop.length] ?? a;
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
  });
  return inside;
}
