import {
  freshNumberName,
  replaceNumber,
  resolveNumbers,
  usesOfNumbers,
  type Design,
  type NamedNumber,
  type NumberValue,
} from "@twin-petal/core";
import { castDraft, current, type Draft } from "immer";
import type { Edit } from "../edit";

export function addNumber(design: Design): Edit {
  const name = freshNumberName(design, "size");
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
    apply: (draft) => putNumber(draft, name, to, (number) => [{ ...number, name: to }]),
  };
}

/** Removes a number; formulas that use it get its present value in its place. */
export function removeNumber(design: Design, name: string): Edit {
  const value = resolveNumbers(design.numbers).values.get(name) ?? 0;
  const literal = value < 0 ? `(${value})` : String(value);
  return { label: `remove the number ${name}`, apply: (draft) => putNumber(draft, name, literal, () => []) };
}

/** Puts another text in a number's place, in every formula that uses it, and what is to be in the place of the number itself. */
function putNumber(
  draft: Draft<Design>,
  name: string,
  replacement: string,
  instead: (number: NamedNumber) => NamedNumber[],
): void {
  const design = current(draft);
  const numbers = design.numbers.flatMap((number) => (number.name === name ? instead(number) : [number]));
  Object.assign(draft, castDraft(replaceNumber({ ...design, numbers }, name, replacement)));
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

/** For each name the places whose formulas use it, in words: "Blade: turn’s count", "the number pitch, its value". */
export function numberUses(design: Design): ReadonlyMap<string, readonly string[]> {
  const uses = usesOfNumbers(design);
  return new Map([...uses].map(([name, paths]) => [name, paths.map((path) => placeInWords(design, path))]));
}

const PLACE = /^(sheet|numbers|guides|parts)(?:\[(\d+)\])?\.(.*)$/;

/** A path of the design file as the place is called on the desk. */
function placeInWords(design: Design, path: string): string {
  const [, list = "", index = "0", within = ""] = PLACE.exec(path) ?? [];
  const key = /([A-Za-z]+)(?:\[\d+\])*$/.exec(within)?.[1] ?? within;
  if (list === "sheet") return `the sheet’s ${key}`;
  if (list === "numbers") return `the number ${design.numbers[Number(index)]?.name ?? ""}, its ${key}`;
  if (list === "guides") return `a guide’s ${key}`;
  const part = design.parts[Number(index)];
  const [owner = ""] = within.split(".");
  const rule = /^rules\[(\d+)\]/.exec(owner);
  const whose = rule ? part?.rules[Number(rule[1])]?.kind : /^(motif|cutout)/.exec(owner)?.[0];
  return whose === undefined ? `${part?.name ?? ""}: ${key}` : `${part?.name ?? ""}: ${whose}’s ${key}`;
}

/** What one turn of the wheel adds to a named number. */
export function stepOf({ step, value }: NamedNumber): number {
  if (step !== undefined && step > 0) return step;
  const size = typeof value === "number" ? Math.abs(value) : 1;
  return Number.isInteger(value) && size >= 2 ? 1 : size >= 20 ? 1 : 0.1;
}
