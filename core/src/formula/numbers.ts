import type { Problem } from "./problem";
import { compileFormula, type Scope } from "./compile";
import { FormulaError } from "./formulaError";
import { CONSTANTS, FUNCTIONS } from "./functions";

/** A number of the file: itself, or a formula. */
export type NumberValue = number | string;

/** What resolving needs to know of a named number. */
export interface NumberToResolve {
  /** As formulas call it. */
  readonly name: string;
  /** A number, or a formula as written. */
  readonly value: NumberValue;
}

/** Named numbers computed, and what kept some of them from it. */
interface ResolvedNumbers {
  /** The values of those that have one. */
  readonly values: ReadonlyMap<string, number>;
  /** One problem at `numbers[k].value` for each that has none. */
  readonly problems: readonly Problem[];
}

/** Why a text cannot name a number, or null when it can. */
export function nameTrouble(name: string): string | null {
  if (!/^[A-Za-z_][A-Za-z0-9_]{0,39}$/.test(name)) {
    return "must be a letter followed by letters, digits or _ (at most 40)";
  }
  if (CONSTANTS.has(name) || FUNCTIONS.has(name)) return `“${name}” already means something in formulas`;
  return null;
}

/** Looks named values up in a map. */
export function scopeOf(values: ReadonlyMap<string, number>): Scope {
  return (name) => values.get(name);
}

/** Computes every named number, whichever order they stand in; circles and unknown names are told. */
export function resolveNumbers(numbers: readonly NumberToResolve[]): ResolvedNumbers {
  const byName = new Map(numbers.map((number) => [number.name, number]));
  const values = new Map<string, number>();
  const troubles = new Map<string, string>();

  const resolve = (name: string, trail: readonly string[]): number | undefined => {
    const value = values.get(name);
    if (value !== undefined || troubles.has(name)) return value;
    const number = byName.get(name);
    if (!number) return undefined;
    if (typeof number.value === "number") {
      values.set(name, number.value);
      return number.value;
    }
    const start = trail.indexOf(name);
    if (start >= 0) {
      const circle = trail.slice(start);
      for (const member of circle) troubles.set(member, `goes round in a circle: ${[...circle, name].join(" → ")}`);
      return undefined;
    }
    return compute(name, number.value, [...trail, name]);
  };

  const compute = (name: string, formula: string, trail: readonly string[]): number | undefined => {
    try {
      const compiled = compileFormula(formula);
      for (const needed of compiled.names) {
        resolve(needed, trail);
        if (troubles.has(name)) return undefined;
        if (byName.has(needed) && !values.has(needed)) {
          throw new FormulaError(`needs “${needed}”, which has no value`);
        }
      }
      const value = compiled.evaluate(scopeOf(values));
      values.set(name, value);
      return value;
    } catch (error) {
      if (!(error instanceof FormulaError)) throw error;
      troubles.set(name, error.message);
      return undefined;
    }
  };

  for (const { name } of numbers) resolve(name, []);
  const problems = numbers.flatMap(({ name }, index) => {
    const message = troubles.get(name);
    return message === undefined ? [] : [{ path: `numbers[${index}].value`, message }];
  });
  return { values, problems };
}
