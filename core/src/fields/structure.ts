import type { Field, FieldOf, StructureField } from "./field";
import type { Resolver } from "./resolver";
import { isSame, type FieldValue } from "./stored";

interface StructureParts<S, T> {
  readonly default: T;
  /** What it is made of: what the file may hold there, and what in it names something. */
  readonly of: Field;
  /** Tells the field's own values from others'. */
  readonly is: (stored: unknown) => stored is FieldValue & S;
  readonly resolve: (stored: S, resolver: Resolver, path: string) => T;
}

/** A value made of others, computed with in a way of its own, and stored as the file had it. */
export function structure<S, T>({
  default: standard,
  of,
  is,
  resolve,
}: StructureParts<S, T>): StructureField & FieldOf<T, S | undefined> {
  return {
    ...of,
    type: "structure",
    isDefault: (stored) => stored === undefined || isSame(stored, standard),
    complete: (stored) => (is(stored) ? stored : undefined),
    brief: (stored) => stored,
    resolve: (stored, resolver, path) => (is(stored) ? resolve(stored, resolver, path) : standard),
  };
}
