import { lazy, mixed } from "yup";
import type { FieldInfo, FieldOf, StructureField } from "./field";

/** A value in whose place one word may stand. */
export function orWord<W extends string, T, S>(
  word: W,
  field: FieldInfo & FieldOf<T, S>,
): StructureField & FieldOf<T | W, S | W> {
  const isWord = (stored: unknown): stored is W => stored === word;
  return {
    type: "structure",
    schema: () => lazy((value: unknown) => (isWord(value) ? mixed() : field.schema())),
    isDefault: (stored) => !isWord(stored) && field.isDefault(stored),
    complete: (stored) => (isWord(stored) ? stored : field.complete(stored)),
    brief: (stored) => (isWord(stored) ? stored : field.brief(stored)),
    resolve: (stored, resolver, path) => (isWord(stored) ? stored : field.resolve(stored, resolver, path)),
    rewrite: (stored, by, path) => (isWord(stored) ? stored : field.rewrite(stored, by, path)),
    words: () => [word, ...field.words()],
  };
}
