import { compileFormula, type Scope } from "../formula/compile";
import { FormulaError } from "../formula/formulaError";
import type { NumberValue } from "../formula/numbers";
import { shortened } from "../formula/shortened";

/** What a number may be. Both ends belong to the range. */
export interface Limits {
  /** The least value. */
  readonly min: number;
  /** The greatest value. */
  readonly max: number;
  /** Whether only whole numbers will do. */
  readonly whole: boolean;
}

/** A value, or the reason why there is none. */
type Outcome = { readonly value: number } | { readonly trouble: string };

/** The limits in words: "a whole number of at least 1". */
function describeLimits({ min, max, whole }: Limits): string {
  const noun = whole ? "a whole number" : "a number";
  if (min === -Infinity && max === Infinity) return noun;
  if (max === Infinity) return `${noun} of at least ${min}`;
  if (min === -Infinity) return `${noun} of at most ${max}`;
  return `${noun} from ${min} to ${max}`;
}

/** A finite number within the limits is a value; anything else is told in words. */
export function checkLimits(value: number, limits: Limits): Outcome {
  const fits = value >= limits.min && value <= limits.max && (!limits.whole || Number.isInteger(value));
  return fits ? { value } : { trouble: `must be ${describeLimits(limits)}` };
}

/** Whether something is a plain number within limits. */
export function isWithin(value: unknown, limits: Limits): boolean {
  return typeof value === "number" && "value" in checkLimits(value, limits);
}

/** Computes a number or formula and holds it against its limits. */
export function valueOf(stored: NumberValue, limits: Limits, scope: Scope): Outcome {
  if (typeof stored === "number") return checkLimits(stored, limits);
  try {
    const value = compileFormula(stored).evaluate(scope);
    const outcome = checkLimits(value, limits);
    return "trouble" in outcome
      ? { trouble: `“${shortened(stored)}” gives ${Number(value.toPrecision(6))}; it ${outcome.trouble}` }
      : outcome;
  } catch (error) {
    if (error instanceof FormulaError) return { trouble: `“${shortened(stored)}”: ${error.message}` };
    throw error;
  }
}
