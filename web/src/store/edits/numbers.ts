import {
  compileFormula,
  FormulaError,
  replaceName,
  resolveNumbers,
  type Design,
  type NamedNumber,
  type NumberValue,
} from "@twin-petal/core";
import type { Draft } from "immer";
import type { Edit } from "../edit";
import { visitDesign, visitFormulas, visitMotif, visitRule } from "./formulas";

/** A name no number has yet. */
function freshName(design: Design): string {
  const taken = new Set(design.numbers.map(({ name }) => name));
  for (let number = 1; ; number++) {
    const name = number === 1 ? "size" : `size${number}`;
    if (!taken.has(name)) return name;
  }
}

export function addNumber(design: Design): Edit {
  const name = freshName(design);
  return { label: `name a number ${name}`, apply: (draft) => void draft.numbers.push({ name, value: 10 }) };
}

export function setNumber(name: string, value: NumberValue, label: string, gesture?: string): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture }),
    apply(draft) {
      const number = draft.numbers.find((known) => known.name === name);
      if (number) number.value = value;
    },
  };
}

/** Renames a number, in every formula too. */
export function renameNumber(name: string, to: string): Edit {
  return {
    label: `rename ${name} to ${to}`,
    apply(draft) {
      rewriteFormulas(draft, (formula) => replaceName(formula, name, to));
      const number = draft.numbers.find((known) => known.name === name);
      if (number) number.name = to;
    },
  };
}

/** Removes a number; formulas that use it get its present value in its place. */
export function removeNumber(design: Design, name: string): Edit {
  const value = resolveNumbers(design.numbers).values.get(name) ?? 0;
  const literal = value < 0 ? `(${value})` : String(value);
  return {
    label: `remove the number ${name}`,
    apply(draft) {
      draft.numbers = draft.numbers.filter((known) => known.name !== name);
      rewriteFormulas(draft, (formula) => replaceName(formula, name, literal));
    },
  };
}

/** Sets a number's range and step; undefined takes one away. */
export function setRange(name: string, change: Partial<Record<"min" | "max" | "step", number | undefined>>): Edit {
  return {
    label: `the range of ${name}`,
    apply(draft) {
      const number = draft.numbers.find((known) => known.name === name);
      if (!number) return;
      for (const [key, value] of Object.entries(change)) {
        if (value === undefined) Reflect.deleteProperty(number, key);
        else Reflect.set(number, key, value);
      }
    },
  };
}

/** For each name the places whose formulas use it, in words: "Blade: count of the turn", "the number pitch". */
export function usesOf(design: Design): ReadonlyMap<string, readonly string[]> {
  const uses = new Map<string, string[]>();
  const note = (place: string) => (formula: string, _holder: object, key: string) => {
    for (const name of namesIn(formula)) uses.set(name, [...(uses.get(name) ?? []), `${place}${key}`]);
  };
  visitFormulas(design.sheet, note("the sheet’s "));
  for (const number of design.numbers) visitFormulas({ value: number.value }, note(`the number ${number.name}, its `));
  visitFormulas(design.guides, note("a guide’s "));
  for (const part of design.parts) {
    const { motif, rules, cutouts, ...rest } = part;
    visitMotif(motif, note(`${part.name}: motif’s `));
    cutouts.forEach((cutout) => visitMotif(cutout, note(`${part.name}: cutout’s `)));
    rules.forEach((rule) => visitRule(rule, note(`${part.name}: ${rule.kind}’s `)));
    visitFormulas(rest, note(`${part.name}: `));
  }
  return uses;
}

function namesIn(formula: string): readonly string[] {
  try {
    return compileFormula(formula).names;
  } catch (error) {
    if (error instanceof FormulaError) return [];
    throw error;
  }
}

function rewriteFormulas(draft: Draft<Design>, rewrite: (formula: string) => string): void {
  visitDesign(draft, (formula, holder, key) => Reflect.set(holder, key, rewrite(formula)));
}

/** What one turn of the wheel adds to a named number. */
export function stepOf({ step, value }: NamedNumber): number {
  if (step !== undefined && step > 0) return step;
  const size = typeof value === "number" ? Math.abs(value) : 1;
  return Number.isInteger(value) && size >= 2 ? 1 : size >= 20 ? 1 : 0.1;
}
