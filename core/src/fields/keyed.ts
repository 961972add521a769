import { lazy, mixed } from "yup";
import type { FieldOf, FieldTable, ResolvedOf, StoredOf, StructureField } from "./field";
import { record } from "./record";
import { isRecord } from "./stored";

type Kinds = Readonly<Record<string, FieldTable>>;

/** What a design holds of one of several, told apart by which field they have. */
export type StoredKeyed<V> = { [K in keyof V]: V[K] extends FieldTable ? StoredOf<V[K]> : never }[keyof V];
/** The same with its values computed. */
type ResolvedKeyed<V> = { [K in keyof V]: V[K] extends FieldTable ? ResolvedOf<V[K]> : never }[keyof V];

/** An object that is one of several by which field it has, told in order; anything else is refused in words. */
export function keyed<V extends Kinds>(
  kinds: V,
  refusal: string,
): StructureField & FieldOf<ResolvedKeyed<V>, StoredKeyed<V>> {
  const records = Object.entries(kinds).map(([key, fields]) => [key, record(fields)] as const);
  const find = (stored: unknown) =>
    isRecord(stored) ? records.find(([key]) => Object.hasOwn(stored, key))?.[1] : undefined;
  const recordOf = (stored: unknown) => {
    const found = find(stored);
    if (!found) throw new Error(refusal);
    return found;
  };
  return {
    type: "structure",
    schema: () =>
      lazy((value: unknown) =>
        value === undefined
          ? mixed().optional()
          : (find(value)?.schema() ?? mixed().test("kind", refusal, () => false)),
      ),
    isDefault: (stored) => stored === undefined,
    complete: (stored) => as<StoredKeyed<V>>(recordOf(stored).complete(stored)),
    brief: (stored) => recordOf(stored).brief(stored),
    resolve: (stored, resolver, path) => as<ResolvedKeyed<V>>(recordOf(stored).resolve(stored, resolver, path)),
    rewrite: (stored, by, path) => recordOf(stored).rewrite(stored, by, path),
    words: () => records.flatMap(([, own]) => own.words()),
  };
}

/** The record found by its key holds what the kinds' type says. */
function as<T>(values: unknown): T {
  if (!isOne<T>(values)) throw new Error("no values were made");
  return values;
}

function isOne<T>(values: unknown): values is T {
  return isRecord(values);
}
