import { cosDegrees, sinDegrees } from "../geometry/angle";
import type { Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";

/** Ways a copy on a curve may look. */
export const FACES = ["out", "in", "along", "fixed"] as const;
/** Where copies look that are set along something. */
export type Face = (typeof FACES)[number];

/** The direction a copy looks, given the direction away from the curve. Degrees. */
export function facingOf(face: Face, outward: number): number {
  switch (face) {
    case "out":
      return outward;
    case "in":
      return outward + 180;
    case "along":
      return outward + 90;
    case "fixed":
      return 0;
  }
}

/** The map that sets a copy's foot at a point, looking in a direction (degrees), sized, mirrored if asked for. */
export function standing(foot: Point, facing: number, size = 1, mirrored = false): Matrix {
  const cos = size * cosDegrees(facing);
  const sin = size * sinDegrees(facing);
  const side = mirrored ? -1 : 1;
  return [side * cos, side * sin, -sin, cos, foot.x, foot.y];
}
