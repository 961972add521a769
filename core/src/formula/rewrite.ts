import { FormulaError } from "./formulaError";
import { tokenise } from "./tokens";

/**
 * The formula with every use of a name replaced by other text: a new name, or a value in its place.
 * A formula that cannot be read is returned as it is.
 */
export function replaceName(formula: string, name: string, replacement: string): string {
  try {
    const uses = tokenise(formula).filter((token) => token.kind === "name" && token.text === name);
    return uses.reduceRight(
      (text, token) => text.slice(0, token.at) + replacement + text.slice(token.at + name.length),
      formula,
    );
  } catch (error) {
    if (error instanceof FormulaError) return formula;
    throw error;
  }
}
