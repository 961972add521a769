import type { NumberValue, WalkStepValue } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

/** Where a step is written: its number in each nested list. */
export type StepPlace = readonly number[];

export function setSteps(part: string, steps: readonly WalkStepValue[], label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    ({ motif }) => {
      if (motif.kind === "walk") motif.steps = castDraft(steps);
    },
    gesture,
  );
}

/** The steps with the one at a place replaced by others. */
export function replaceStep(
  steps: readonly WalkStepValue[],
  [index = 0, ...inner]: StepPlace,
  by: (step: WalkStepValue) => readonly WalkStepValue[],
): WalkStepValue[] {
  return steps.flatMap((step, at): readonly WalkStepValue[] => {
    if (at !== index) return [step];
    if (inner.length === 0) return by(step);
    return "steps" in step ? [{ ...step, steps: replaceStep(step.steps, inner, by) }] : [step];
  });
}

export function setStepNumber(step: WalkStepValue, value: NumberValue): WalkStepValue {
  if ("go" in step) return { go: value };
  if ("turn" in step) return { turn: value };
  if ("skip" in step) return { skip: value };
  return { ...step, times: value };
}

/** One row of a walk as it is listed: a step, or the foot of a repeat. */
export type WalkRow =
  | { readonly kind: "step"; readonly step: WalkStepValue; readonly place: StepPlace; readonly depth: number }
  | { readonly kind: "foot"; readonly place: StepPlace; readonly depth: number };

/** The nested list laid out row by row; every repeat ends with a foot, so that rows can be dragged into it and out. */
export function rowsOf(steps: readonly WalkStepValue[], place: StepPlace = []): WalkRow[] {
  return steps.flatMap((step, index): WalkRow[] => {
    const here = [...place, index];
    const row: WalkRow = { kind: "step", step, place: here, depth: place.length };
    if (!("steps" in step)) return [row];
    return [row, ...rowsOf(step.steps, here), { kind: "foot", place: here, depth: place.length }];
  });
}

/** The nested list that rows in a new order stand for: a repeat holds what stands between it and its foot. */
export function stepsOf(rows: readonly WalkRow[]): WalkStepValue[] {
  const lists: WalkStepValue[][] = [[]];
  const repeats: Extract<WalkStepValue, { times: NumberValue }>[] = [];
  for (const row of rows) {
    if (row.kind === "foot") {
      const steps = lists.pop() ?? [];
      const repeat = repeats.pop();
      if (repeat) lists.at(-1)?.push({ ...repeat, steps });
    } else if ("steps" in row.step) {
      repeats.push(row.step);
      lists.push([]);
    } else lists.at(-1)?.push(row.step);
  }
  return lists[0] ?? [];
}

/** Rows with one moved to where another stands; a repeat takes all that is in it along, and never into itself. */
export function moveRow(rows: readonly WalkRow[], from: number, to: number): readonly WalkRow[] {
  const row = rows[from];
  if (!row || row.kind === "foot" || from === to) return rows;
  const length = blockLength(rows, from);
  if (to > from && to < from + length) return rows;
  const block = rows.slice(from, from + length);
  const rest = [...rows.slice(0, from), ...rows.slice(from + length)];
  const at = to > from ? to - length + 1 : to;
  return [...rest.slice(0, at), ...block, ...rest.slice(at)];
}

function blockLength(rows: readonly WalkRow[], from: number): number {
  const row = rows[from];
  if (row?.kind !== "step" || !("steps" in row.step)) return 1;
  const foot = rows.findIndex((other, at) => at > from && other.kind === "foot" && other.depth === row.depth);
  return foot - from + 1;
}
