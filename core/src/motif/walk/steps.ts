import { given } from "../../fields/given";
import { keyed } from "../../fields/keyed";
import { later } from "../../fields/later";
import type { Field, FieldTable } from "../../fields/field";
import { list } from "../../fields/list";
import { DEEPEST_NESTING, MOST_STEPS, MOST_TAKEN_STEPS } from "../../fields/most";
import { number } from "../../fields/number";
import type { Resolver } from "../../fields/resolver";
import type { NumberValue } from "../../formula/numbers";

/** One step of a walk as the file holds it: go and draw, turn clockwise, go without drawing, or repeat other steps. */
export type WalkStepValue =
  | { readonly go: NumberValue }
  | { readonly turn: NumberValue }
  | { readonly skip: NumberValue }
  | { readonly times: NumberValue; readonly steps: readonly WalkStepValue[] };

/** A step whose numbers are known. Lengths in millimetres, turns in degrees clockwise. */
export type WalkStep =
  | { readonly kind: "go"; readonly length: number }
  | { readonly kind: "skip"; readonly length: number }
  | { readonly kind: "turn"; readonly angle: number }
  | { readonly kind: "times"; readonly times: number; readonly steps: readonly WalkStep[] };

const LENGTH = number("length", 0);
const ANGLE = number("angle", 0);
const TIMES = number("count", 0, { min: 0, max: 10_000 });

/** What each number of a step may be. */
export const STEP_LIMITS = { go: LENGTH, skip: LENGTH, turn: ANGLE, times: TIMES };

/** A step with its numbers computed. */
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

/** How many steps are taken in all when the repeats are walked; to repeat nothing is a step as well. */
function takenSteps(steps: readonly WalkStep[]): number {
  const repeated = (step: Extract<WalkStep, { readonly kind: "times" }>) =>
    step.times * Math.max(1, takenSteps(step.steps));
  return steps.reduce((sum, step) => sum + (step.kind === "times" ? repeated(step) : 1), 0);
}

/** Why a walk cannot be taken, or null. */
export function walkTrouble(steps: readonly WalkStep[]): string | null {
  const taken = takenSteps(steps);
  if (taken <= MOST_TAKEN_STEPS) return null;
  return `takes ${taken.toLocaleString("en")} steps; a walk takes at most ${MOST_TAKEN_STEPS.toLocaleString("en")}: repeat less often`;
}

const REFUSAL = "must be a step: go, turn, skip, or times with steps";

/** A list of steps as the file holds it, so deep within others. */
export function stepsField(depth = 0): Field {
  const repeats: FieldTable = { times: given(TIMES), steps: given(later(() => stepsField(depth + 1))) };
  const moves = { turn: { turn: given(ANGLE) }, skip: { skip: given(LENGTH) }, go: { go: given(LENGTH) } };
  const step =
    depth < DEEPEST_NESTING
      ? keyed({ times: repeats, ...moves }, REFUSAL)
      : keyed(moves, `repeats are nested more than ${DEEPEST_NESTING} deep`);
  return list(step, { most: MOST_STEPS });
}
