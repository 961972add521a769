import type { FieldChanges, StoredFields } from "./stored";
import type { Resolver } from "./resolver";

/** Whatever has fields: a kind of motif or of rule. */
interface Prepares {
  prepare: (stored: StoredFields, resolver: Resolver, path: string) => unknown;
}

/** What must be set beside stored fields so that nothing is wrong between them; empty where nothing is. */
export function mendsOf(definition: Prepares, stored: StoredFields, resolver: Resolver): FieldChanges {
  definition.prepare(stored, resolver, "");
  return Object.fromEntries(Array.from(resolver.mends, ([path, value]) => [path.slice(1), value]));
}
