import type { FieldOf, FieldTable, FieldsOf } from "./field";
import { resolveTable } from "./record";
import type { Resolver } from "./resolver";
import type { StoredFields } from "./stored";

/** The computed values of every field of a motif's or a rule's definition. */
export function resolveFields<T extends object>(
  fields: FieldsOf<T> & FieldTable,
  stored: StoredFields,
  resolver: Resolver,
  path: string,
): T {
  return resolveTable<T>(fields, stored, resolver, path);
}

/** A motif or a rule without the fields that are at their default; its other fields as and where they stood. */
export function withoutDefaults<S extends StoredFields>(stored: S, fields: FieldTable = {}): S {
  const kept: S = { ...stored };
  for (const [name, entry] of Object.entries(stored)) {
    const field: FieldOf<unknown> | undefined = Object.hasOwn(fields, name) ? fields[name] : undefined;
    if (field?.isDefault(entry)) Reflect.deleteProperty(kept, name);
  }
  return kept;
}
