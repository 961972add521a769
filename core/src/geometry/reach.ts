import type { Path } from "./path";

/** Directions all round in which a reach is measured. */
const DIRECTIONS = 64;
const STEP = (2 * Math.PI) / DIRECTIONS;

/** How far an outline reaches from the origin in each of so many directions, its handles included; millimetres. */
export type Reach = Float64Array;

/** Measures how far an outline reaches; −Infinity all round where it has no nodes. */
export function reachOf(path: Path): Reach {
  const reach = new Float64Array(DIRECTIONS).fill(-Infinity);
  for (let k = 0; k < DIRECTIONS; k++) {
    const [across, down] = [Math.cos(k * STEP), Math.sin(k * STEP)];
    for (const { coordinates } of path) {
      for (let at = 0; at < coordinates.length; at += 2) {
        reach[k] = Math.max(reach[k] ?? 0, across * (coordinates[at] ?? 0) + down * (coordinates[at + 1] ?? 0));
      }
    }
  }
  return reach;
}

/**
 * At most how large `u` x + `v` y becomes on the outline. What is farthest that way is no farther than the sum of what is farthest
 * in the two directions beside it, each taken as often as the two make up this one: support functions are sublinear.
 */
export function mostAlong(reach: Reach, u: number, v: number): number {
  const length = Math.hypot(u, v);
  if (length === 0) return 0;
  const angle = (Math.atan2(v, u) + 2 * Math.PI) % (2 * Math.PI);
  const before = Math.floor(angle / STEP) % DIRECTIONS;
  const past = angle - before * STEP;
  const [first, second] = [reach[before] ?? 0, reach[(before + 1) % DIRECTIONS] ?? 0];
  return (length * (Math.sin(STEP - past) * first + Math.sin(past) * second)) / Math.sin(STEP);
}
