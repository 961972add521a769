import { mixed, string } from "yup";
import type { StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { leaf } from "../fields/leaf";
import { optional } from "../fields/optional";
import { plain } from "../fields/plain";
import { record } from "../fields/record";
import { rewriteNumber } from "../fields/rewriting";
import { plainNumber } from "../fields/schemaPieces";
import { isNumberValue } from "../fields/stored";
import { text } from "../fields/text";
import { nameTrouble, type NumberValue } from "../formula/numbers";

const LONGEST = 40;

const name = text("", LONGEST, () =>
  string()
    .required()
    .test("number-name", function (name) {
      const trouble = nameTrouble(name);
      return trouble === null || this.createError({ message: trouble });
    }),
);

/** A value that is computed together with those of the other named numbers, not here. */
const value = {
  type: "structure" as const,
  ...leaf<NumberValue, NumberValue>({
    standard: 0,
    is: isNumberValue,
    schema: () =>
      mixed().test(
        "kind",
        "must be a finite number or a formula",
        (stored: unknown) => typeof stored === "string" || (typeof stored === "number" && Number.isFinite(stored)),
      ),
    resolve: (stored) => stored,
    rewrite: (stored, by, path) => rewriteNumber(stored, by, path),
  }),
};

const bound = optional(
  plain<number>({
    standard: 0,
    is: (stored) => typeof stored === "number",
    schema: () => plainNumber(),
  }),
);

/** A value that any formula of the design may use by its name; its range is what surprises keep to. */
export const NAMED_NUMBER = record({ name: given(name), value: given(value), min: bound, max: bound, step: bound });

/** A named number as a design holds it. */
export type NamedNumber = StoredOf<typeof NAMED_NUMBER.fields>;
