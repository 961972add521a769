import { array, lazy, mixed, type ISchema } from "yup";
import type { Limits } from "../../design/limits";
import { DEEPEST_NESTING, MOST_STEPS, MOST_TAKEN_STEPS } from "../../design/most";
import type { Resolver } from "../../design/resolver";
import { exactly, isRecord, numberValue } from "../../design/schemaPieces";
import type { WalkStepValue } from "../../design/structures";

/** A step whose numbers are known. Lengths in millimetres, turns in degrees clockwise. */
export type WalkStep =
  | { readonly kind: "go"; readonly length: number }
  | { readonly kind: "skip"; readonly length: number }
  | { readonly kind: "turn"; readonly angle: number }
  | { readonly kind: "times"; readonly times: number; readonly steps: readonly WalkStep[] };

const LENGTH: Limits = { min: -10_000, max: 10_000, whole: false };
const ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
const TIMES: Limits = { min: 0, max: 10_000, whole: true };

/** What each number of a step may be. */
export const STEP_LIMITS: Readonly<Record<"go" | "skip" | "turn" | "times", Limits>> = {
  go: LENGTH,
  skip: LENGTH,
  turn: ANGLE,
  times: TIMES,
};

export function resolveStep(step: WalkStepValue, resolver: Resolver, path: string): WalkStep {
  if ("go" in step) return { kind: "go", length: resolver.number(step.go, LENGTH, `${path}.go`) };
  if ("skip" in step) return { kind: "skip", length: resolver.number(step.skip, LENGTH, `${path}.skip`) };
  if ("turn" in step) return { kind: "turn", angle: resolver.number(step.turn, ANGLE, `${path}.turn`) };
  return {
    kind: "times",
    times: resolver.number(step.times, TIMES, `${path}.times`),
    steps: step.steps.map((inner, index) => resolveStep(inner, resolver, `${path}.steps[${index}]`)),
  };
}

/** How many steps are taken in all when the repeats are walked. */
export function takenSteps(steps: readonly WalkStep[]): number {
  return steps.reduce((sum, step) => sum + (step.kind === "times" ? step.times * takenSteps(step.steps) : 1), 0);
}

/** Why a walk cannot be taken, or null. */
export function walkTrouble(steps: readonly WalkStep[]): string | null {
  const taken = takenSteps(steps);
  if (taken <= MOST_TAKEN_STEPS) return null;
  return `takes ${taken.toLocaleString("en")} steps; a walk takes at most ${MOST_TAKEN_STEPS.toLocaleString("en")}: repeat less often`;
}

/** A list of steps as the file holds it. */
export function stepsSchema(depth = 0): ISchema<unknown> {
  const list = array(lazy((value: unknown) => stepSchema(value, depth).required())).max(MOST_STEPS);
  return depth > 0 ? list.required() : list;
}

function stepSchema(value: unknown, depth: number) {
  const length = () => numberValue(LENGTH).required();
  if (isRecord(value) && "times" in value) {
    if (depth >= DEEPEST_NESTING) return refusing(`repeats are nested more than ${DEEPEST_NESTING} deep`);
    return exactly({ times: numberValue(TIMES).required(), steps: stepsSchema(depth + 1) });
  }
  if (isRecord(value) && "turn" in value) return exactly({ turn: numberValue(ANGLE).required() });
  if (isRecord(value) && "skip" in value) return exactly({ skip: length() });
  if (isRecord(value) && "go" in value) return exactly({ go: length() });
  return refusing("must be a step: go, turn, skip, or times with steps");
}

function refusing(message: string) {
  return mixed().test("step", message, () => false);
}
