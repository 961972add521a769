import { lazy, mixed, string, type ISchema, type ValidationError } from "yup";
import type { FieldOf, FieldTable, ResolvedOf, StoredOf, StructureField } from "./field";
import { record, schemasOf } from "./record";
import { exactly, pathTo } from "./schemaPieces";
import { isRecord } from "./stored";

/** What a design holds of one of several kinds. */
export type StoredVariant<V> = {
  [Kind in keyof V]: V[Kind] extends FieldTable ? { readonly kind: Kind } & StoredOf<V[Kind]> : never;
}[keyof V];

/** What is computed from one of several kinds. */
export type ResolvedVariant<V> = {
  [Kind in keyof V]: V[Kind] extends FieldTable ? { readonly kind: Kind } & ResolvedOf<V[Kind]> : never;
}[keyof V];

type Variants = Readonly<Record<string, FieldTable>>;

/** An object that says which of several kinds it is, each with fields of its own. */
export function variants<V extends Variants>(kinds: V): StructureField & FieldOf<ResolvedVariant<V>, StoredVariant<V>> {
  const records = new Map(Object.entries(kinds).map(([kind, fields]) => [kind, record(fields)]));
  const recordOf = (stored: unknown) => {
    const kind = kindOf(stored);
    const found = kind === undefined ? undefined : records.get(kind);
    if (!found) throw new Error(`a design with the unknown kind ${String(kind)} was let in`);
    return found;
  };
  return {
    type: "structure",
    schema: () => kindSchema(Object.keys(kinds), (kind) => kinds[kind], {}),
    isDefault: (stored) => stored === undefined,
    complete: (stored) => withKind<StoredVariant<V>>(stored, recordOf(stored).complete(stored)),
    brief: (stored) => withKind(stored, recordOf(stored).brief(stored)),
    resolve: (stored, resolver, path) =>
      withKind<ResolvedVariant<V>>(stored, recordOf(stored).resolve(stored, resolver, path)),
    rewrite: (stored, by, path) => recordOf(stored).rewrite(stored, by, path),
    words: () => [...records].flatMap(([kind, own]) => [kind, ...own.words()]),
  };
}

function kindOf(stored: unknown): string | undefined {
  return isRecord(stored) && typeof stored.kind === "string" ? stored.kind : undefined;
}

function withKind<T>(stored: unknown, values: unknown): T {
  const whole: unknown = { kind: kindOf(stored), ...(isRecord(values) && values) };
  if (!isOfKind<T>(whole)) throw new Error("a value without a kind");
  return whole;
}

function isOfKind<T>(value: unknown): value is T {
  return kindOf(value) !== undefined;
}

/** What the file may hold of one of several kinds, with fields they share. */
export function kindSchema(
  kinds: readonly string[],
  fieldsOf: (kind: string) => FieldTable | undefined,
  shared: Readonly<Record<string, ISchema<unknown>>>,
) {
  // Made when a kind is first met: a design may hold thousands of one.
  const known = new Map<string, ISchema<unknown>>();
  const schemaOf = (kind: string) => {
    const fields = fieldsOf(kind);
    return fields && exactly({ kind: string().required().oneOf(kinds), ...shared, ...schemasOf(fields) });
  };
  return lazy((value: unknown) => {
    const kind = kindOf(value) ?? "";
    const schema = known.get(kind) ?? schemaOf(kind);
    if (!schema) return mixed().test("kind", kindTest(kinds));
    known.set(kind, schema);
    return schema;
  });
}

function kindTest(kinds: readonly string[]) {
  return function (this: { path: string; createError: (e: object) => ValidationError }, value: unknown) {
    if (!isRecord(value)) return this.createError({ message: `must be an object with a kind: ${kinds.join(", ")}` });
    const message = `must be one of ${kinds.join(", ")}`;
    return this.createError({ path: pathTo(this.path, "kind"), message });
  };
}
