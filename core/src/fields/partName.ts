import type { FieldOf, PartField } from "./field";
import { leaf } from "./leaf";
import { words } from "./schemaPieces";

/** The name of the sheet where a part's id may stand too. */
export const SHEET = "sheet";

/** Characters a part's id may have. */
const LONGEST_ID = 40;

/** The id of another part; `standard` stands for none, or for the sheet. */
export function partName(standard: "" | typeof SHEET): PartField & FieldOf<string, string> {
  return {
    type: "part",
    default: standard,
    ...leaf<string, string>({
      standard,
      is: (stored) => typeof stored === "string",
      schema: () => words(LONGEST_ID),
      resolve: (stored) => stored,
      words: [SHEET],
      rewrite: (stored, by, path) => (isPartId(stored) && by.part ? by.part(stored, path) : stored),
    }),
  };
}

function isPartId(stored: string): boolean {
  return stored !== "" && stored !== SHEET;
}
