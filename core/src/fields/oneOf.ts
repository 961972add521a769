import { lazy } from "yup";
import type { FieldInfo, FieldOf, StructureField } from "./field";
import { isRecord } from "./stored";

/** A text of one kind, or an object of another. */
export function textOr<T, S, U, R>(
  written: FieldInfo & FieldOf<T, S>,
  made: FieldInfo & FieldOf<U, R>,
): StructureField & FieldOf<T | U, S | R> {
  const fieldOf = (stored: unknown): FieldInfo & FieldOf<T | U, S | R> => (isRecord(stored) ? made : written);
  return {
    type: "structure",
    schema: () => lazy((value: unknown) => fieldOf(value).schema()),
    isDefault: (stored) => fieldOf(stored).isDefault(stored),
    complete: (stored) => fieldOf(stored).complete(stored),
    brief: (stored) => fieldOf(stored).brief(stored),
    resolve: (stored, resolver, path) => fieldOf(stored).resolve(stored, resolver, path),
    rewrite: (stored, by, path) => fieldOf(stored).rewrite(stored, by, path),
    words: () => [...written.words(), ...made.words()],
  };
}
