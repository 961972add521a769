import type { FieldTable } from "./field";
import { isRecord } from "./stored";

/** What every kind of a list has: its name and its fields. */
interface Kind {
  readonly kind: string;
  readonly fields: FieldTable;
}

/** The field tables of a list of kinds, by kind. */
export type FieldsByKind<L extends readonly Kind[]> = {
  readonly [D in L[number] as D["kind"]]: D["fields"];
};

/** The field tables of a list of kinds, by kind; or other tables that hold the same. */
export function fieldsByKind<L extends readonly Kind[]>(
  kinds: L,
  fieldsOf: (kind: L[number]) => FieldTable = ({ fields }) => fields,
): FieldsByKind<L> {
  const tables: unknown = Object.fromEntries(kinds.map((kind) => [kind.kind, fieldsOf(kind)]));
  if (!isByKind<FieldsByKind<L>>(tables)) throw new Error("a list of kinds without kinds");
  return tables;
}

/** One table a kind has been entered, as the list's type says. */
function isByKind<T>(tables: unknown): tables is T {
  return isRecord(tables);
}

/** The definitions of a list by kind. */
type ByKind<L extends readonly { readonly kind: string }[]> = {
  readonly [D in L[number] as D["kind"]]: D;
};

/** The definitions of a list by kind, each with its own type. */
export function byKind<L extends readonly { readonly kind: string }[]>(kinds: L): ByKind<L> {
  const named: unknown = Object.fromEntries(kinds.map((definition) => [definition.kind, definition]));
  if (!isByKind<ByKind<L>>(named)) throw new Error("a list of kinds without kinds");
  return named;
}
