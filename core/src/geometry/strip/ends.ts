import { circleSegments } from "../arc";
import { areaOfPath, polygonOf, reversePath, subpathOf, type Subpath } from "../path";
import type { Point } from "../point";

/** A whole circle, clockwise. Millimetres. */
export function circleAt(centre: Point, radius: number): Subpath {
  return subpathOf(circleSegments(radius, centre), true);
}

/** A polygon, made to run clockwise. */
export function polygonThrough(corners: readonly Point[]): Subpath {
  const polygon = polygonOf(corners);
  return areaOfPath([polygon]) < 0 ? (reversePath([polygon])[0] ?? polygon) : polygon;
}
