import type { ISchema } from "yup";
import type { FieldOf, TextField } from "./field";
import { leaf } from "./leaf";
import { words } from "./schemaPieces";

/** Words; no formula, and no name of anything. */
export function text(
  standard: string,
  longest: number,
  schema: () => ISchema<unknown> = () => words(longest),
): TextField & FieldOf<string, string> {
  return {
    type: "text",
    default: standard,
    longest,
    ...leaf<string, string>({
      standard,
      is: (stored) => typeof stored === "string",
      schema,
      resolve: (stored) => stored,
    }),
  };
}
