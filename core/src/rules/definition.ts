import { resolveFields } from "../fields/definitionFields";
import type { FieldChanges, StoredFields } from "../fields/stored";
import { type FieldsOf, type FieldTable } from "../fields/field";
import type { Conflict } from "../formula/problem";
import type { Resolver } from "../fields/resolver";
import type { Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import type { Point } from "../geometry/point";
import type { SymmetryProbe } from "../geometry/symmetry";
import type { MotifNeeds } from "../motif/definition";
import type { Surroundings } from "../motif/drawing";
import type { NumberHandle } from "../motif/handles";
import type { Carried } from "./carried";
import type { CountMark } from "./countMark";
import type { LinkReport } from "./linkedNumbers";
import type { Placements } from "./placements";
import type { Repeat } from "./repeat";
import type { Period } from "./tile";

/**
 * A rule that changes outlines too: each in the motif's own space, keeping where the copy stands; or where the
 * copy stands in the group's space, the outline that comes back being in its final place.
 */
export interface Reshape {
  /** In whose space outlines are given: the motif's, or the whole group's. */
  readonly space: "motif" | "group";
  /** A copy's outline under transform j. */
  outline: (path: Path, j: number) => Path;
  /** Whether pieces of a motif keep their colours; otherwise the part's finish paints the outline as one. */
  readonly keepsPieces: boolean;
}

/** The transforms T₀ … Tₘ₋₁ of one rule, and what each gives its copies to carry. */
export interface Transforms extends Partial<Carried> {
  /** Six numbers a transform. */
  readonly matrices: Float64Array;
  /** The ring each transform stands in, where there are any. */
  readonly rings?: Uint32Array;
  /** The row and the column each transform stands in, where there are any. */
  readonly rows?: Uint32Array;
  /** The column each transform stands in. */
  readonly columns?: Uint32Array;
  /** Whether the image of a copy under transform j would only repeat what is there and is left out. */
  omits?: (j: number, copy: Matrix) => boolean;
  /** How outlines change from copy to copy. */
  readonly reshape?: Reshape;
}

/** What a rule may ask about the group it repeats, in the group's space; each is computed when first asked for. */
export interface Group {
  /** Copies the rules before have made. */
  readonly count: number;
  /** The box of everything the rules before have made, millimetres. */
  box: () => Box;
  /** Where the first copy's motif has its foot, millimetres. */
  foot: () => Point;
  /** The outlines of all copies the rules before have made. */
  outline: () => Path;
  /** How far lines reach beyond the outlines of copies so many times as large, millimetres. */
  reach: (size: number) => number;
  /** Whether a map carries the group onto itself. */
  symmetry: () => SymmetryProbe;
  /** The other parts and the sheet. */
  readonly surroundings: Surroundings;
  /** Notes something the person should know, in words. */
  note: (words: string) => void;
}

/** What can be shown and pulled on the ornament, in the space of the group the rule repeats. */
export type Mark =
  /** A point a rule turns about, and the box of the group in which it may have its place. */
  | { readonly kind: "pivot"; readonly field: string; readonly at: Point; readonly box: Box }
  | { readonly kind: "fixedPoint"; readonly at: Point }
  | { readonly kind: "radius"; readonly field: string; readonly radii: Point; readonly start: number }
  /** A direction about a point, pulled round it at some distance: the field is the direction less `from`, degrees. */
  | {
      readonly kind: "direction";
      readonly field: string;
      readonly centre: Point;
      readonly reach: number;
      readonly degrees: number;
      readonly from: number;
    }
  | CountMark
  | { readonly kind: "mirror"; readonly through: Point; readonly angle: number }
  | { readonly kind: "wedge"; readonly pivot: Point; readonly from: number; readonly to: number }
  /** The outline of an area: a plane group's asymmetric unit, a lattice's cell. */
  | { readonly kind: "area"; readonly corners: readonly Point[] }
  /** The two sides of a free lattice's cell, each to be pulled by its end. */
  | { readonly kind: "vectors"; readonly a: Point; readonly b: Point }
  /** A share of a line's length, pulled along it: the line as points, the first at share 0 and the last at 1. */
  | { readonly kind: "share"; readonly field: string; readonly share: number; readonly line: readonly Point[] }
  /** The second copy of a step, to be dragged: the pivot it is turned about, a far point of the source, and the step. */
  | {
      readonly kind: "second";
      readonly pivot: Point;
      readonly tip: Point;
      readonly turn: number;
      readonly scale: Point;
      readonly move: Point;
    }
  /** Shows nothing: tells where the rule's own handles stand. */
  | { readonly kind: "space" };

/** A rule whose numbers are known. */
export interface PreparedRule {
  /** Tells two rules of different effect apart. */
  readonly key: string;
  /** How many transforms it has; the most it can have where that depends on what it meets. */
  readonly copies: number;
  /** The field that says how many; empty for a rule whose numbers make no more copies. */
  readonly drivenBy: string;
  /** Ids of the parts it follows. */
  readonly uses: readonly string[];
  /** Ids of the parts whose paint it takes too. */
  readonly paintFrom: readonly string[];
  /** What must be loaded before it is applied. */
  readonly needs: MotifNeeds;
  /** Whether it goes by how far the part's lines reach. */
  readonly asksReach: boolean;
  /** The copies it makes of a group. */
  transforms: (group: Group) => Transforms;
  /** For rules that add no copies: the copies as it changes them. */
  readonly adjust: ((placements: Placements) => Placements) | null;
  /** What of it can be seen or pulled on the sheet. */
  marks: (group: Group) => readonly Mark[];
  /** Its numbers that hang together. */
  links: (group: Group) => readonly LinkReport[];
  /** Its numbers as handles, in the space of the group it repeats. */
  handles: () => readonly NumberHandle[];
  /** How many folds it makes about a centre; 1 for rules that go around none. */
  readonly folds: number;
  /** The rectangle or the band it repeats in without a seam; null where there is none. */
  tile: () => Period | null;
  /** How it goes on for ever; null for rules that do not. */
  repeat: (group: Group) => Repeat | null;
}

/** A kind of rule. Adding one is a file with one of these and a line in the list. */
export interface RuleDefinition {
  /** Its name in files. */
  readonly kind: string;
  /** What a file may say of it. */
  readonly fields: FieldTable;
  /** What a new one has set beside its defaults. */
  readonly first: FieldChanges;
  /** What a new one has set besides, where a part has such a rule already: the last of them is given. */
  again: (before: StoredFields) => FieldChanges;
  /** Whether it may go on for ever. */
  readonly isEndless: boolean;
  /** The field that names another part, without which it does nothing; null for rules that stand alone. */
  readonly leads: string | null;
  /** The rule with its values, ready to be applied. */
  prepare: (stored: StoredFields, resolver: Resolver, path: string) => PreparedRule;
}

interface RuleParts<T> {
  readonly kind: string;
  readonly fields: FieldsOf<T>;
  readonly first?: FieldChanges;
  again?: (before: StoredFields) => FieldChanges;
  readonly leads?: string;
  copies: (values: T) => number;
  /** The field that says how many copies it makes, where that is not `count`. */
  readonly drivenBy?: string;
  transforms: (values: T, group: Group) => Transforms;
  adjust?: (values: T, placements: Placements) => Placements;
  uses?: (values: T) => readonly string[];
  paintFrom?: (values: T) => readonly string[];
  needs?: (values: T) => Partial<MotifNeeds>;
  asksReach?: (values: T) => boolean;
  marks?: (values: T, group: Group) => readonly Mark[];
  links?: (values: T, group: Group) => readonly LinkReport[];
  handles?: (values: T) => readonly NumberHandle[];
  folds?: (values: T) => number;
  tile?: (values: T) => Period | null;
  repeat?: (values: T, group: Group) => Repeat | null;
  conflicts?: (values: T) => readonly Conflict[];
  /** What tells two rules apart where the values do not say it all. */
  key?: (values: T) => unknown;
}

const SPACE: Mark = { kind: "space" };

/** Makes a kind of rule of its fields and the maps it repeats a group by. */
export function defineRule<T extends object>(parts: RuleParts<T>): RuleDefinition {
  return {
    kind: parts.kind,
    fields: { ...parts.fields },
    first: parts.first ?? {},
    again: (before) => parts.again?.(before) ?? {},
    isEndless: parts.repeat !== undefined,
    leads: parts.leads ?? null,
    prepare(stored, resolver, path) {
      const values = resolveFields(parts.fields, stored, resolver, path);
      for (const conflict of parts.conflicts?.(values) ?? []) {
        resolver.reportConflict(path, conflict);
      }
      const { adjust } = parts;
      return {
        key: JSON.stringify([parts.kind, parts.key?.(values) ?? values]),
        copies: parts.copies(values),
        drivenBy: parts.drivenBy ?? ("count" in parts.fields ? "count" : ""),
        uses: parts.uses?.(values) ?? [],
        paintFrom: parts.paintFrom?.(values) ?? [],
        needs: { fonts: [], geometryEngine: false, ...parts.needs?.(values) },
        asksReach: parts.asksReach?.(values) ?? false,
        transforms: (group) => parts.transforms(values, group),
        adjust: adjust ? (placements) => adjust(values, placements) : null,
        marks: (group) => [...(parts.marks?.(values, group) ?? []), ...(parts.handles ? [SPACE] : [])],
        handles: () => parts.handles?.(values) ?? [],
        links: (group) => parts.links?.(values, group) ?? [],
        folds: parts.folds?.(values) ?? 1,
        tile: () => parts.tile?.(values) ?? null,
        repeat: (group) => parts.repeat?.(values, group) ?? null,
      };
    },
  };
}
