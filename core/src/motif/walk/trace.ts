import { cosDegrees, normaliseDegrees, sinDegrees } from "../../geometry/angle";
import { distance, ORIGIN, type Point } from "../../geometry/point";
import type { WalkStep } from "./steps";

/** One level of repeats a step stands in: the round it is in, of how many. Rounds count from 1. */
export interface Round {
  /** Which time round it is, from 1. */
  readonly round: number;
  /** How often it goes round in all. */
  readonly times: number;
}

/** One step as it was taken. */
export interface TakenStep {
  /** Where it is written: the number of the step in each nested list. */
  readonly place: readonly number[];
  /** The repeats it is in, the outermost first. */
  readonly rounds: readonly Round[];
  /** Whether it goes, turns or skips. */
  readonly kind: "go" | "turn" | "skip";
  /** Where it began, millimetres. */
  readonly from: Point;
  /** Where it ended, millimetres. */
  readonly to: Point;
  /** Direction after the step: degrees, 0° up, clockwise. */
  readonly heading: number;
}

/** How a walk ends: how far from where it began, and how much its heading differs. */
export interface WalkEnd {
  /** How far the end is from the beginning, millimetres. */
  readonly gap: number;
  /** Degrees, −180…180. */
  readonly turned: number;
}

/** Takes every step of a walk in order; it begins at the origin heading up. Millimetres, degrees. */
export function traceWalk(steps: readonly WalkStep[], onStep: (taken: TakenStep) => void): WalkEnd {
  let at: Point = ORIGIN;
  let heading = 0;
  const take = (list: readonly WalkStep[], place: readonly number[], rounds: readonly Round[]): void => {
    list.forEach((step, index) => {
      const here = [...place, index];
      if (step.kind === "times") {
        for (let round = 1; round <= step.times; round++) {
          take(step.steps, here, [...rounds, { round, times: step.times }]);
        }
        return;
      }
      const from = at;
      if (step.kind === "turn") heading += step.angle;
      else at = { x: at.x + step.length * sinDegrees(heading), y: at.y - step.length * cosDegrees(heading) };
      onStep({ place: here, rounds, kind: step.kind, from, to: at, heading });
    });
  };
  take(steps, [], []);
  const turned = normaliseDegrees(heading);
  return { gap: distance(at, ORIGIN), turned: turned > 180 ? turned - 360 : turned };
}
