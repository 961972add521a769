import type { Design } from "@twin-petal/core";
import { applyEdit, type Edit } from "./edit";

/** A step of undo or redo: the design to go to, and what going there does. */
export interface Step {
  readonly label: string;
  readonly design: Design;
  readonly gesture?: string;
}

/** A design with the way back and the way forward again. Designs share what did not change. */
export interface History {
  readonly design: Design;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

const STEPS_KEPT = 300;

export function beginHistory(design: Design): History {
  return { design, past: [], future: [] };
}

/** Every state of a history, the present one first. */
export function statesOf({ design, past, future }: History): Design[] {
  return [design, ...past.map((step) => step.design).reverse(), ...future.map((step) => step.design)];
}

/** The history with an edit made; unchanged when the edit changes nothing. */
export function make(history: History, edit: Edit): History {
  const design = applyEdit(history.design, edit);
  if (design === history.design) return history;
  const last = history.past.at(-1);
  const goesOn = edit.gesture !== undefined && last?.gesture === edit.gesture && history.future.length === 0;
  const step: Step = {
    label: goesOn ? spanning(last.label, edit.label) : edit.label,
    design: goesOn ? last.design : history.design,
    ...(edit.gesture !== undefined && { gesture: edit.gesture }),
  };
  const before = goesOn ? history.past.slice(0, -1) : history.past;
  return { design, past: [...before, step].slice(-STEPS_KEPT), future: [] };
}

const TO = " → ";

/** A gesture that goes on is named by its first value and its last: "count 8 → 9" and "count 9 → 12" are "count 8 → 12". */
function spanning(first: string, last: string): string {
  const [from, to] = [first.split(TO)[0], last.split(TO)[1]];
  return from === undefined || to === undefined || !first.includes(TO) ? last : `${from}${TO}${to}`;
}

/** The history with its last step's gesture ended. */
export function settle(history: History): History {
  const last = history.past.at(-1);
  if (last?.gesture === undefined) return history;
  const { gesture: _ended, ...step } = last;
  return { ...history, past: [...history.past.slice(0, -1), step] };
}

/** The history without what a gesture has done, if that was the last step. */
export function givenUp(history: History, gesture: string): History {
  const last = history.past.at(-1);
  if (!last?.gesture?.includes(gesture)) return history;
  return { ...history, design: last.design, past: history.past.slice(0, -1) };
}

export function undo({ design, past, future }: History): History {
  const step = past.at(-1);
  if (!step) return { design, past, future };
  return { design: step.design, past: past.slice(0, -1), future: [...future, { label: step.label, design }] };
}

export function redo({ design, past, future }: History): History {
  const step = future.at(-1);
  if (!step) return { design, past, future };
  return { design: step.design, past: [...past, { label: step.label, design }], future: future.slice(0, -1) };
}
