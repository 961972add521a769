import { resolveFields, type FieldsOf, type FieldTable, type StoredFields } from "../design/field";
import type { Problem } from "../design/problem";
import type { Resolver } from "../design/resolver";
import type { Path } from "../geometry/path";

/** A kind of motif. Adding one is a file with one of these and a line in the list. */
export interface MotifDefinition {
  readonly kind: string;
  readonly fields: FieldTable;
  /** The motif's values with formulas computed; problems are noted at the path. */
  prepare: (stored: StoredFields, resolver: Resolver, path: string) => PreparedMotif;
}

/** A motif whose numbers are known. */
export interface PreparedMotif {
  /** Tells two motifs of different outline apart. */
  readonly key: string;
  /** The outline in millimetres, in the motif's own space. */
  outline: () => Path;
}

interface MotifParts<T> {
  readonly kind: string;
  readonly fields: FieldsOf<T>;
  /** Draws the outline in millimetres: foot at the origin growing up, or centred where the kind is round. */
  outline: (values: T) => Path;
  /** What is wrong between fields that are each right by themselves; `path` is the field's name. */
  conflicts?: (values: T) => readonly Problem[];
}

export function defineMotif<T extends object>(parts: MotifParts<T>): MotifDefinition {
  return {
    kind: parts.kind,
    fields: { ...parts.fields },
    prepare(stored, resolver, path) {
      const values = resolveFields(parts.fields, stored, resolver, path);
      for (const conflict of parts.conflicts?.(values) ?? []) {
        resolver.report(`${path}.${conflict.path}`, conflict.message);
      }
      return {
        key: JSON.stringify([parts.kind, values]),
        outline: () => parts.outline(values),
      };
    },
  };
}
