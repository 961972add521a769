import { choice } from "../fields/choice";
import { number } from "../fields/number";
import { pair } from "../fields/pair";
import { pivot } from "../fields/pivot";
import { cosDegrees, sinDegrees } from "../geometry/angle";
import {
  about,
  apply,
  fixedPoint,
  IDENTITY,
  multiply,
  rotation,
  scaling,
  translation,
  type Matrix,
} from "../geometry/matrix";
import type { Box } from "../geometry/box";
import { distance, type Point } from "../geometry/point";
import { defineRule, type Mark, type Transforms } from "./definition";
import { packMatrices } from "./pack";
import { pivotPoint } from "./pivotPoint";

/** How unequal factors go on: along each copy's own axes, or along those of the sheet, which skews turned copies. */
export const STEP_AXES = ["own", "fixed"] as const;
type StepAxes = (typeof STEP_AXES)[number];

/**
 * Copy j is Dʲ, D = move · about the pivot (turn · scale): each copy follows from the one before. Along own axes unequal
 * factors leave every copy square: its linear part is turn(jθ) · diag(sxʲ, syʲ), and its pivot has moved on by the sum over
 * k < j of turn(kθ) · diag(sxᵏ, syᵏ) · move.
 */
export const step = defineRule({
  kind: "step",
  fields: {
    count: number("count", 12),
    turn: number("angle", 0),
    scale: pair("factor", { x: 1, y: 1 }, { single: true }),
    axes: choice(STEP_AXES, "own"),
    move: pair("length", { x: 0, y: 0 }, { single: false }),
    /** Default: the bottom centre of the group's box. */
    pivot: pivot({ share: { x: 0.5, y: 1 } }),
    /** Millimetres each copy stands higher than the last. */
    rise: number("length", 0, { step: 0.1 }),
    zScale: number("factor", 1),
  },
  copies: ({ count }) => count,
  transforms({ count, turn, scale, axes, move, pivot, rise, zScale }, group): Transforms {
    const steps = isSkewing(scale, axes) ? ownSteps : powers;
    return {
      matrices: packMatrices(count, steps(turn, scale, move, pivotPoint(pivot, group))),
      ...(rise !== 0 && { rise: Float64Array.from({ length: count }, (_, j) => j * rise) }),
      ...(zScale !== 1 && { zScale: Float64Array.from({ length: count }, (_, j) => zScale ** j) }),
    };
  },
  marks({ count, turn, scale, axes, move, pivot }, group): Mark[] {
    const at = pivotPoint(pivot, group);
    const fixed = isSkewing(scale, axes)
      ? ownFixedPoint(turn, scale, move, at)
      : fixedPoint(stepMatrix(turn, scale, move, at));
    const marks: Mark[] = [{ kind: "pivot", field: "pivot", at, box: group.box() }];
    if (count > 1) marks.push({ kind: "second", pivot: at, tip: tipOf(group.box(), at), turn, scale, move });
    return fixed ? [...marks, { kind: "fixedPoint", at: fixed }] : marks;
  },
});

/** Whether the powers of one step would skew what should stay square. */
function isSkewing(scale: Point, axes: StepAxes): boolean {
  return axes === "own" && scale.x !== scale.y;
}

type Steps = (turn: number, scale: Point, move: Point, pivot: Point) => (j: number) => Matrix;

const powers: Steps = (...step) => {
  const once = stepMatrix(...step);
  let power: Matrix = IDENTITY;
  return (j) => {
    if (j > 0) power = multiply(once, power);
    return power;
  };
};

const ownSteps: Steps = (turn, scale, move, pivot) => {
  let foot = pivot;
  return (j) => {
    const linear = multiply(rotation(j * turn), scaling(scale.x ** j, scale.y ** j));
    const placed = multiply(translation(foot.x, foot.y), multiply(linear, translation(-pivot.x, -pivot.y)));
    const by = apply(linear, move);
    foot = { x: foot.x + by.x, y: foot.y + by.y };
    return placed;
  };
};

/**
 * Where the pivots of steps along own axes wind to: two geometric series, x of the move by 1 / (1 − sx·e^{iθ}), y by
 * 1 / (1 − sy·e^{iθ}) a quarter turn on. Null where one has no sum.
 */
function ownFixedPoint(turn: number, scale: Point, move: Point, pivot: Point): Point | null {
  const [cosine, sine] = [cosDegrees(turn), sinDegrees(turn)];
  const sum = (factor: number): Point | null => {
    const [re, im] = [1 - factor * cosine, -factor * sine];
    const square = re * re + im * im;
    return square < 1e-12 ? null : { x: re / square, y: -im / square };
  };
  const [across, down] = [sum(scale.x), sum(scale.y)];
  if (!across || !down) return null;
  return {
    x: pivot.x + move.x * across.x - move.y * down.y,
    y: pivot.y + move.x * across.y + move.y * down.x,
  };
}

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
