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
    visitFormulas(motif, note(`${part.name}: motif’s `));
    visitFormulas(cutouts, note(`${part.name}: cutout’s `));
    rules.forEach((rule) => visitFormulas(rule, note(`${part.name}: ${rule.kind}’s `)));
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

/** Fields that hold words rather than formulas. */
const WORDS = new Set([
  "kind",
  "id",
  "name",
  "role",
  "blend",
  "cap",
  "join",
  "by",
  "unit",
  "ground",
  "fill",
  "paint",
  "colors",
  "face",
  "ends",
  "spacing",
  "format",
  "text",
  "font",
  "form",
  "hand",
  "shape",
  "type",
  "op",
  "part",
  "source",
  "path",
  "region",
  "avoid",
  "cutBy",
  "inside",
  "mode",
  "widthSets",
  "heightSets",
  "styles",
  "lattice",
  "group",
  "alternate",
  "notes",
  "color",
]);

function rewriteFormulas(draft: Draft<Design>, rewrite: (formula: string) => string): void {
  forEachFormula(draft, (formula, holder, key) => Reflect.set(holder, key, rewrite(formula)));
}

type Visitor = (formula: string, holder: object, key: string) => void;

function forEachFormula({ sheet, numbers, guides, parts }: Design | Draft<Design>, visit: Visitor): void {
  for (const holder of [sheet, numbers, guides, parts]) visitFormulas(holder, visit);
}

/** Walks plain data and shows every formula in it. */
function visitFormulas(holder: object, visit: Visitor): void {
  const entries: [string, unknown][] = Object.entries(holder);
  for (const [key, value] of entries) {
    if (WORDS.has(key) || (key === "size" && value === "radius")) continue;
    if (typeof value === "string") visit(value, holder, key);
    else if (typeof value === "object" && value !== null) visitFormulas(value, visit);
  }
}

/** What one turn of the wheel adds to a named number. */
export function stepOf({ step, value }: NamedNumber): number {
  if (step !== undefined && step > 0) return step;
  const size = typeof value === "number" ? Math.abs(value) : 1;
  return Number.isInteger(value) && size >= 2 ? 1 : size >= 20 ? 1 : 0.1;
}
