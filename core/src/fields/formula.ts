import type { NumberValue } from "../formula/numbers";
import type { CopyFormula } from "./copyFormula";
import type { FieldOf, FormulaField, Quantity } from "./field";
import { leaf } from "./leaf";
import { rewriteNumber } from "./rewriting";
import { copyFormulaValue } from "./schemaPieces";
import { isNumberValue } from "./stored";

/** A formula that is computed for each copy and may ask it for some names. */
export function formula(
  quantity: Quantity,
  names: readonly string[],
): FormulaField & FieldOf<CopyFormula | null, NumberValue | null> {
  return {
    type: "formula",
    quantity,
    names,
    ...leaf<CopyFormula | null, NumberValue | null>({
      standard: null,
      is: isNumberValue,
      schema: () => copyFormulaValue(names),
      resolve: (stored, resolver, path) => (stored === null ? null : resolver.copyFormula(String(stored), names, path)),
      rewrite: (stored, by, path) => rewriteNumber(stored, by, path, names),
    }),
  };
}
