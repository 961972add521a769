import { compileFormula } from "./compile";
import { FormulaError } from "./formulaError";

/** The names a formula uses, each once; none where it is no formula. */
export function namesIn(formula: string): readonly string[] {
  try {
    return compileFormula(formula).names;
  } catch (error) {
    if (error instanceof FormulaError) return [];
    throw error;
  }
}
