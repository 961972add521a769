import type { Path } from "../../geometry/path";
import type { Point } from "../../geometry/point";
import type { Course } from "../course";
import type { Limits } from "../lines/definition";
import type { FillStitch, UnderlayKind } from "../stitchFields";

/** So far inside the edge is what is sewn below, millimetres. */
export const INSIDE = 0.6;
/** From needle point to needle point of what is sewn below, millimetres. */
export const BELOW_LENGTH = 2.5;
/** From row to row of what is sewn below, millimetres. */
export const BELOW_SPACING = 2;

/** Something sewn below first, so that what is sewn over it lies firm. Adding one is a file with one of these and a line in the list. */
export interface UnderlayDefinition<K extends UnderlayKind = UnderlayKind> {
  /** Its name. */
  readonly kind: K;
  /** Runs of needle points below an area, which is already that much smaller. */
  underArea: (inside: Path, fill: FillStitch, limits: Limits, start: Point) => Point[][];
  /** Runs of needle points below a band along a course, of a width that is already that much smaller. */
  underBand: (course: Course, width: number, limits: Limits) => Point[][];
}

/** Makes one. */
export function defineUnderlay<const K extends UnderlayKind>(definition: UnderlayDefinition<K>): UnderlayDefinition<K> {
  return definition;
}
