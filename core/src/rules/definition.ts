import { resolveFields, type FieldsOf, type FieldTable, type StoredFields } from "../design/field";
import type { Problem } from "../design/problem";
import type { Resolver } from "../design/resolver";
import type { Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";
import type { SymmetryProbe } from "../geometry/symmetry";
import type { NumberHandle } from "../motif/handles";

/** The transforms T₀ … Tₘ₋₁ of one rule. */
export interface Transforms {
  /** Six numbers a transform. */
  readonly matrices: Float64Array;
  /** Millimetres each transform adds to the height; absent when none does. */
  readonly rise?: Float64Array;
  readonly zScale?: Float64Array;
  readonly rings?: Uint32Array;
  /** The row and the column each transform stands in, where there are any. */
  readonly rows?: Uint32Array;
  readonly columns?: Uint32Array;
  /** Whether the image of a copy under transform j would only repeat what is there and is left out. */
  omits?: (j: number, copy: Matrix) => boolean;
}

/** What a rule may ask about the group it repeats; each is computed when first asked for. */
export interface Group {
  /** The box of everything the rules before have made, millimetres. */
  box: () => Box;
  symmetry: () => SymmetryProbe;
}

/** What can be shown and pulled on the ornament, in the space of the group the rule repeats. */
export type Mark =
  | { readonly kind: "pivot"; readonly field: string; readonly at: Point }
  | { readonly kind: "fixedPoint"; readonly at: Point }
  | { readonly kind: "radius"; readonly field: string; readonly radii: Point; readonly start: number }
  | { readonly kind: "mirror"; readonly through: Point; readonly angle: number }
  | { readonly kind: "wedge"; readonly pivot: Point; readonly from: number; readonly to: number }
  /** Shows nothing: tells where the rule's own handles stand. */
  | { readonly kind: "space" };

/** How the copies of a rule go round: whether they fill the span they are meant to. */
export interface SpanReport {
  readonly count: number;
  /** Degrees from copy to copy. */
  readonly spacing: number;
  /** count × spacing, degrees. */
  readonly span: number;
  /** Degrees missing to a full circle; negative when over. 0 when it closes. */
  readonly short: number;
}

/** A rule whose numbers are known. */
export interface PreparedRule {
  /** Tells two rules of different effect apart. */
  readonly key: string;
  /** How many transforms it has. */
  readonly copies: number;
  transforms: (group: Group) => Transforms;
  marks: (group: Group) => readonly Mark[];
  span: () => SpanReport | null;
  /** Its numbers as handles, in the space of the group it repeats. */
  handles: () => readonly NumberHandle[];
}

/** A kind of rule. Adding one is a file with one of these and a line in the list. */
export interface RuleDefinition {
  readonly kind: string;
  readonly fields: FieldTable;
  prepare: (stored: StoredFields, resolver: Resolver, path: string) => PreparedRule;
}

interface RuleParts<T> {
  readonly kind: string;
  readonly fields: FieldsOf<T>;
  copies: (values: T) => number;
  transforms: (values: T, group: Group) => Transforms;
  marks?: (values: T, group: Group) => readonly Mark[];
  span?: (values: T) => SpanReport;
  handles?: (values: T) => readonly NumberHandle[];
  /** What is wrong between fields that are each right by themselves; `path` is the field's name. */
  conflicts?: (values: T) => readonly Problem[];
}

const SPACE: Mark = { kind: "space" };

export function defineRule<T extends object>(parts: RuleParts<T>): RuleDefinition {
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
        copies: parts.copies(values),
        transforms: (group) => parts.transforms(values, group),
        marks: (group) => [...(parts.marks?.(values, group) ?? []), ...(parts.handles ? [SPACE] : [])],
        handles: () => parts.handles?.(values) ?? [],
        span: () => parts.span?.(values) ?? null,
      };
    },
  };
}
