import type { StitchSettings } from "./stitchPlan";

/** How far a place is beyond the edge of a hoop whose middle is the sheet's, millimetres; 0 or less within it. */
export function beyondHoop({ width, height, shape }: StitchSettings["frame"], x: number, y: number): number {
  const [across, down] = [width / 2, height / 2];
  if (shape === "rectangle") return Math.max(Math.abs(x) - across, Math.abs(y) - down);
  const away = Math.hypot(x, y);
  const share = Math.hypot(x / across, y / down);
  // Along the ray from the middle: far enough for a message, and 0 just on the edge.
  return share <= 0 ? -Math.min(across, down) : away - away / share;
}
