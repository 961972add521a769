import type { FieldInfo, FieldOf, StructureField } from "./field";

/** A value that may be left out, which then is none. */
export function optional<T, S>(
  field: FieldInfo & FieldOf<T, S>,
): StructureField & FieldOf<T | undefined, S | undefined> {
  return {
    type: "structure",
    schema: () => field.schema(),
    ...(field.isRight && { isRight: field.isRight }),
    isDefault: (stored) => stored === undefined,
    complete: (stored) => (stored === undefined ? undefined : field.complete(stored)),
    brief: (stored) => field.brief(stored),
    resolve: (stored, resolver, path) => (stored === undefined ? undefined : field.resolve(stored, resolver, path)),
    rewrite: (stored, by, path) => field.rewrite(stored, by, path),
    words: field.words,
  };
}
