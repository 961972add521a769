import { FOOT, type Pivot } from "../fields/field";
import { placeInBox } from "../geometry/box";
import type { Point } from "../geometry/point";
import type { Group } from "./definition";

/** The point a pivot stands for: given outright, by shares of the group's box, or the motif's foot. Millimetres. */
export function pivotPoint(pivot: Pivot, group: Group): Point {
  if (pivot === FOOT) return group.foot();
  return "point" in pivot ? pivot.point : placeInBox(group.box(), pivot.share);
}
