/** Characters of a formula that are repeated in words. */
const TOLD = 80;

/** A formula as it is repeated in a message: a long one by its beginning. */
export function shortened(formula: string): string {
  return formula.length > TOLD ? `${formula.slice(0, TOLD)}…` : formula;
}
