import { lazy, mixed } from "yup";
import type { FieldInfo, FieldOf } from "./field";
import { isSchema } from "./schemaPieces";

/** Marks a field that must be there. */
export interface Given {
  readonly given: true;
}

/** A field the file must have: it is written even where it says what it would say anyway. */
export function given<I extends FieldInfo, T, S>(field: I & FieldOf<T, S>): I & FieldOf<T, S> & Given {
  const own: Given & Pick<FieldOf<T, S>, "isDefault" | "schema"> = {
    given: true,
    isDefault: () => false,
    schema() {
      const schema = field.schema();
      if (isSchema(schema)) return schema.required();
      return lazy((value: unknown) => (value === undefined ? mixed().required() : schema));
    },
  };
  return { ...field, ...own };
}

/** Whether what a field belongs to cannot be without it. */
export function isGiven(field: object): boolean {
  return "given" in field;
}

/** A field that is written even at its default, because it says what the value is. */
export function alwaysWritten<T, S>(field: FieldInfo & FieldOf<T, S>): FieldInfo & FieldOf<T, S> {
  return { ...field, isDefault: () => false };
}
