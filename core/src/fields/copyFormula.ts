import { compileFormula, type Scope } from "../formula/compile";
import { FormulaError } from "../formula/formulaError";
import { shortened } from "../formula/shortened";

/** A formula computed for each copy, with the named numbers it uses at their present values. */
export interface CopyFormula {
  /** As it is written. */
  readonly text: string;
  /** The design's named numbers it may use. */
  readonly numbers: Readonly<Record<string, number>>;
}

/** Reads a formula that may ask a copy for `names`; the named numbers it uses are looked up, and what is wrong is told. */
export function readCopyFormula(
  text: string,
  names: readonly string[],
  scope: Scope,
): CopyFormula | { readonly trouble: string } {
  try {
    const numbers: Record<string, number> = {};
    for (const name of compileFormula(text).names) {
      if (names.includes(name)) continue;
      const value = scope(name);
      if (value === undefined) return { trouble: `“${shortened(text)}”: ${unknownName(name, names)}` };
      numbers[name] = value;
    }
    return { text, numbers };
  } catch (error) {
    if (error instanceof FormulaError) return { trouble: `“${shortened(text)}”: ${error.message}` };
    throw error;
  }
}

function unknownName(name: string, names: readonly string[]): string {
  return `there is no number called “${name}”; a copy knows ${names.join(" ")}`;
}
