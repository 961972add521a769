import { lazy, mixed } from "yup";
import { isSchema } from "./schemaPieces";
import type { FieldInfo, FieldOf, StructureField } from "./field";

/** A value there may be none of: null, which also holds where the file leaves it out. */
export function nullable<T, S>(field: FieldInfo & FieldOf<T, S>): StructureField & FieldOf<T | null, S | null> {
  return {
    type: "structure",
    schema() {
      const schema = field.schema();
      if (isSchema(schema)) return schema.nullable();
      return lazy((value: unknown) => (value === null || value === undefined ? mixed().nullable() : schema));
    },
    isDefault: (stored) => stored === undefined || stored === null,
    complete: (stored) => (stored === undefined || stored === null ? null : field.complete(stored)),
    brief: (stored) => (stored === null ? null : field.brief(stored)),
    resolve: (stored, resolver, path) =>
      stored === undefined || stored === null ? null : field.resolve(stored, resolver, path),
    rewrite: (stored, by, path) => (stored === null ? null : (field.rewrite(stored, by, path) ?? null)),
    words: field.words,
  };
}

/** The same where leaving it out means what the field has by default, and null is said where there is none. */
export function orNone<T, S>(field: FieldInfo & FieldOf<T, S>): StructureField & FieldOf<T | null, S | null> {
  return {
    ...nullable(field),
    isDefault: (stored) => field.isDefault(stored),
    complete: (stored) => (stored === null ? null : field.complete(stored)),
    resolve: (stored, resolver, path) => (stored === null ? null : field.resolve(stored, resolver, path)),
  };
}
