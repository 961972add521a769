import { number } from "../fields/number";
import { pair } from "../fields/pair";
import { pivot } from "../fields/pivot";
import { about, fixedPoint, IDENTITY, multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import type { Box } from "../geometry/box";
import { distance, type Point } from "../geometry/point";
import { defineRule, type Mark, type Transforms } from "./definition";
import { packMatrices } from "./pack";
import { pivotPoint } from "./pivotPoint";

/** Copy j is Dʲ, D = move · about the pivot (turn · scale): each copy follows from the one before. */
export const step = defineRule({
  kind: "step",
  fields: {
    count: number("count", 12),
    turn: number("angle", 0),
    scale: pair("factor", { x: 1, y: 1 }, { single: true }),
    move: pair("length", { x: 0, y: 0 }, { single: false }),
    /** Default: the bottom centre of the group's box. */
    pivot: pivot({ share: { x: 0.5, y: 1 } }),
    /** Millimetres each copy stands higher than the last. */
    rise: number("length", 0, { step: 0.1 }),
    zScale: number("factor", 1),
  },
  copies: ({ count }) => count,
  transforms({ count, turn, scale, move, pivot, rise, zScale }, group): Transforms {
    const step = stepMatrix(turn, scale, move, pivotPoint(pivot, group));
    let power: Matrix = IDENTITY;
    return {
      matrices: packMatrices(count, (j) => {
        if (j > 0) power = multiply(step, power);
        return power;
      }),
      ...(rise !== 0 && { rise: Float64Array.from({ length: count }, (_, j) => j * rise) }),
      ...(zScale !== 1 && { zScale: Float64Array.from({ length: count }, (_, j) => zScale ** j) }),
    };
  },
  marks({ count, turn, scale, move, pivot }, group): Mark[] {
    const at = pivotPoint(pivot, group);
    const fixed = fixedPoint(stepMatrix(turn, scale, move, at));
    const marks: Mark[] = [{ kind: "pivot", field: "pivot", at }];
    if (count > 1) marks.push({ kind: "second", pivot: at, tip: tipOf(group.box(), at), turn, scale, move });
    return fixed ? [...marks, { kind: "fixedPoint", at: fixed }] : marks;
  },
});

/** The corner or side's middle of a box that is furthest from a pivot: far enough to be turned by. */
function tipOf({ left, top, right, bottom }: Box, pivot: Point): Point {
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  const places = [
    { x: middle.x, y: top },
    { x: middle.x, y: bottom },
    { x: left, y: middle.y },
    { x: right, y: middle.y },
  ];
  return places.reduce((best, place) => (distance(place, pivot) > distance(best, pivot) + 1e-9 ? place : best));
}

/** One step D. Turn in degrees, move and pivot in millimetres. */
export function stepMatrix(turn: number, scale: Point, move: Point, pivot: Point): Matrix {
  const turned = about(pivot, multiply(rotation(turn), scaling(scale.x, scale.y)));
  return multiply(translation(move.x, move.y), turned);
}
