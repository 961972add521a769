import type { ISchema } from "yup";
import type { FieldOf, StructureField } from "./field";
import { leaf } from "./leaf";

interface PlainParts<S> {
  readonly words?: readonly string[];
  readonly standard: S;
  readonly is: (stored: unknown) => stored is S;
  readonly schema: () => ISchema<unknown>;
}

/** Data that names nothing and computes nothing: it is what it is. */
export function plain<S>({ words, ...parts }: PlainParts<S>): StructureField & FieldOf<S, S> {
  return { type: "structure", ...leaf<S, S>({ ...parts, resolve: (stored) => stored, ...(words && { words }) }) };
}
