import type { Point } from "../../geometry/point";
import type { Course } from "../course";
import type { LineStitch, LineStitchKind } from "../stitchFields";

/** What the machine can and what is asked of all of a part's stitches. Millimetres. */
export interface Limits {
  /** Longer stitches are split. */
  readonly longest: number;
  /** Shorter ones are left out. */
  readonly shortest: number;
  /** By how much stitches go beyond the edge on both sides. */
  readonly pull: number;
}

/** A way of sewing a line. Adding one is a file with one of these and a line in the list. */
export interface LineStitchDefinition<K extends LineStitchKind = LineStitchKind> {
  /** Its name. */
  readonly kind: K;
  /** Which settings it goes by. */
  readonly fields: readonly Exclude<keyof LineStitch, "kind">[];
  /** Needle points along a course, from its start to its end. */
  sew: (course: Course, stitch: LineStitch, limits: Limits) => Point[];
  /** About how many of them there are to a millimetre of the course. */
  pointsTo: (stitch: LineStitch, limits: Limits) => number;
  /** How wide what it covers is, millimetres; 0 for a thread alone. */
  width: (stitch: LineStitch) => number;
}

/** Makes a way of sewing a line. */
export function defineLineStitch<const K extends LineStitchKind>(
  definition: LineStitchDefinition<K>,
): LineStitchDefinition<K> {
  return definition;
}
