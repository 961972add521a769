import type { Field, FieldOf, FieldTable, ResolvedOf, StoredOf, StructureField } from "./field";
import { once } from "../geometry/once";
import { isGiven } from "./given";
import type { Resolver } from "./resolver";
import { rewriteEntries, type RewritableTable, type Rewriting } from "./rewriting";
import { exactly } from "./schemaPieces";
import { isRecord } from "./stored";

/** An object of fields and no others. */
export interface RecordField<F extends FieldTable> extends StructureField, FieldOf<ResolvedOf<F>, StoredOf<F>> {
  readonly type: "structure";
  readonly fields: F;
  schema: () => ReturnType<typeof schemaOf>;
}

/** An object of the given fields, each under its own name. */
export function record<F extends FieldTable>(fields: F): RecordField<F> {
  const completed = (stored: unknown) =>
    wholeOf<StoredOf<F>>(fields, (field, name) => field.complete(entryOf(stored, name)));
  /** What is left out is one and the same object wherever it is left out. */
  const standard = once(() => completed(undefined));
  /** What was stored says by itself what it comes to, where no formula and no colour by name is in it: worked out once. */
  const resolved = new WeakMap<object, ResolvedOf<F>>();
  return {
    type: "structure",
    fields,
    schema: () => schemaOf(fields),
    isRight: (stored) => isRecord(stored) && hasAllGiven(fields, stored) && hasOnlyRight(fields, stored),
    isDefault: (stored) =>
      stored === undefined || Object.entries(fields).every(([name, field]) => field.isDefault(entryOf(stored, name))),
    complete: (stored) => (stored === undefined ? standard() : completed(stored)),
    brief: (stored) => briefFields(fields, stored),
    resolve(stored, resolver, path) {
      const known = isRecord(stored) ? resolved.get(stored) : undefined;
      if (known) return known;
      const before = resolver.asked;
      const values = resolveTable<ResolvedOf<F>>(fields, stored, resolver, path);
      if (isRecord(stored) && resolver.asked === before) resolved.set(stored, values);
      return values;
    },
    rewrite: (stored, by, path) => rewriteFields(fields, stored, by, path),
    words: () => wordsOf(fields),
  };
}

function schemaOf(fields: FieldTable) {
  return exactly(schemasOf(fields)).default(undefined).optional();
}

function hasAllGiven(fields: FieldTable, stored: Readonly<Record<string, unknown>>): boolean {
  for (const name in fields) if (isGiven(fields[name] ?? {}) && stored[name] === undefined) return false;
  return true;
}

function hasOnlyRight(fields: FieldTable, stored: Readonly<Record<string, unknown>>): boolean {
  for (const name of Object.keys(stored)) {
    const field = Object.hasOwn(fields, name) ? fields[name] : undefined;
    if (!field?.isRight?.(stored[name])) return false;
  }
  return true;
}

/** What the file may hold in each field of a table. */
export function schemasOf(fields: FieldTable) {
  return Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, field.schema()]));
}

/** The entries of a table that are not at their default, in the table's order. */
function briefFields(fields: FieldTable, stored: unknown): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    Object.entries(fields).flatMap(([name, field]) => {
      const entry = entryOf(stored, name);
      return field.isDefault(entry) ? [] : [[name, field.brief(entry)] as const];
    }),
  );
}

/** The words of the format that may stand in the fields of a table. */
export function wordsOf(fields: FieldTable): readonly string[] {
  return Object.values(fields).flatMap((field) => field.words());
}

/** The fields of a table rewritten; undefined when one is gone that must be there. */
export function rewriteFields(fields: RewritableTable, stored: unknown, by: Rewriting, path: string): unknown {
  if (!isRecord(stored)) return stored;
  const next = rewriteEntries(stored, (name, entry) => {
    const field = Object.hasOwn(fields, name) ? fields[name] : undefined;
    return field ? field.rewrite(entry, by, path === "" ? name : `${path}.${name}`) : entry;
  });
  const isWhole = Object.entries(fields).every(([name, field]) => !isGiven(field) || name in next || !(name in stored));
  return isWhole ? next : undefined;
}

/** The computed values of every field of a table. */
export function resolveTable<T>(fields: FieldTable, stored: unknown, resolver: Resolver, path: string): T {
  const entries = isRecord(stored) ? stored : NOTHING;
  return wholeOf<T>(fields, (field, name) =>
    field.resolve(Object.hasOwn(entries, name) ? entries[name] : undefined, resolver, `${path}.${name}`),
  );
}

const NOTHING: Readonly<Record<string, unknown>> = {};

function wholeOf<T>(fields: FieldTable, valueOf: (field: Field, name: string) => unknown): T {
  const values: Record<string, unknown> = {};
  for (const [name, field] of entriesOf(fields)) {
    const value = valueOf(field, name);
    if (value !== undefined) values[name] = value;
  }
  if (!isWhole<T>(values)) throw new Error("no values were made");
  return values;
}

const listed = new WeakMap<FieldTable, readonly (readonly [string, Field])[]>();

/** The fields of a table by name, listed once: tables never change, and a part is read by ten of them. */
function entriesOf(fields: FieldTable): readonly (readonly [string, Field])[] {
  const known = listed.get(fields);
  if (known) return known;
  const entries = Object.entries(fields);
  listed.set(fields, entries);
  return entries;
}

/** Every field has given its own value; so the table's type says what the values are. */
function isWhole<T>(values: unknown): values is T {
  return isRecord(values);
}

function entryOf(stored: unknown, name: string): unknown {
  return isRecord(stored) && Object.hasOwn(stored, name) ? stored[name] : undefined;
}
