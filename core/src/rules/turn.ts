import { following, number, pivot } from "../design/field";
import { FULL_TURN } from "../geometry/angle";
import { about, rotation } from "../geometry/matrix";
import { defineRule, type SpanReport } from "./definition";
import { packMatrices } from "./pack";
import { pivotPoint } from "./pivotPoint";

/** Copy j is turned by start + j·θ about the pivot; θ divides the full turn unless it is given. */
export const turn = defineRule({
  kind: "turn",
  fields: {
    count: number("count", 8),
    angle: following("angle"),
    start: number("angle", 0),
    pivot: pivot({ point: { x: 0, y: 0 } }),
  },
  copies: ({ count }) => count,
  transforms({ count, angle, start, pivot }, group) {
    const centre = pivotPoint(pivot, group);
    return {
      matrices: packMatrices(count, (j) => about(centre, rotation(start + turnOf(j, count, angle)))),
    };
  },
  marks({ count, angle, start, pivot }, group) {
    const at = pivotPoint(pivot, group);
    const half = (angle ?? FULL_TURN / count) / 2;
    return [
      { kind: "wedge", pivot: at, from: start - half, to: start + half },
      { kind: "pivot", field: "pivot", at },
    ];
  },
  span: ({ count, angle }) => turnSpan(count, angle),
});

/** j·θ; whole fractions of a turn are divided last, so that a quarter turn is exactly 90°. */
function turnOf(j: number, count: number, angle: number | undefined): number {
  return angle === undefined ? (j * FULL_TURN) / count : j * angle;
}

/** What a turn covers: 14 × 25° = 350°, 10° short of a full circle. Degrees. */
export function turnSpan(count: number, angle: number | undefined): SpanReport {
  const spacing = angle ?? FULL_TURN / count;
  const span = angle === undefined ? FULL_TURN : count * Math.abs(angle);
  const short = FULL_TURN - span;
  return { count, spacing, span, short: Math.abs(short) < 1e-9 ? 0 : short };
}
