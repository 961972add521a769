/** A formula that cannot be read or computed; its message is meant for the person who wrote it. */
export class FormulaError extends Error {
  override readonly name = "FormulaError";
}
