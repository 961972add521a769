import { formatHex, interpolate } from "culori";

/** Directions of thread that are told apart. */
export const DIRECTIONS = 6;
/** The light comes from above on the left: thread that runs across it is lighter than thread along it. */
const LIGHT = -Math.PI / 4;
/** By which share of black or white thread is darker or lighter at most. */
const SHADE = 0.16;

/** Which of the directions a stitch has. */
export function directionOfStitch(dx: number, dy: number): number {
  const turn = Math.atan2(dy, dx) - LIGHT;
  const share = (turn / Math.PI + 2) % 1;
  return Math.floor(share * DIRECTIONS) % DIRECTIONS;
}

/** For each direction the colour in which thread of a colour shows. */
export function threadShades(color: string): string[] {
  return Array.from({ length: DIRECTIONS }, (_, direction) => {
    // Thread shines across its length.
    const across = Math.abs(Math.sin(((direction + 0.5) / DIRECTIONS) * Math.PI));
    const shade = (2 * across - 1) * SHADE;
    const mixed = interpolate([color, shade > 0 ? "#ffffff" : "#000000"], "oklab")(Math.abs(shade));
    return formatHex(mixed);
  });
}
