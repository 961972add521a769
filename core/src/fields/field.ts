import type { ISchema } from "yup";
import type { Point } from "../geometry/point";
import type { Limits } from "./limits";
import type { Resolver } from "./resolver";
import type { Rewriting } from "./rewriting";

/**
 * One stored value: what the file may hold, what holds when it is left out, what is computed from it, and what in it
 * names a number, a part or a colour. `T` is what is computed with, `S` what a design holds. Everything that reads,
 * writes or changes designs goes by these.
 */
export interface FieldOf<T, S = unknown> {
  /** What the file may hold there. */
  schema: () => ISchema<unknown>;
  /** Whether a stored value is right beyond doubt, as is told without asking the schema of the thousands there may be. */
  isRight?: (stored: unknown) => boolean;
  /** Whether a stored value says no more than leaving it out does. */
  isDefault: (stored: unknown) => boolean;
  /** The stored value with every default in its place. */
  complete: (stored: unknown) => S;
  /** The stored value without what is at its default within it. */
  brief: (stored: unknown) => unknown;
  /** The value to compute with; problems are noted at the path. */
  resolve: (stored: unknown, resolver: Resolver, path: string) => T;
  /** The stored value with what it names rewritten; undefined when it cannot stand without. */
  rewrite: (stored: unknown, by: Rewriting, path: string) => unknown;
  /** The words of the format that may stand there. */
  words: () => readonly string[];
}

/** How a number is counted, shown and stepped. Lengths are stored in millimetres, angles in degrees. */
export type Quantity = "length" | "angle" | "count" | "share" | "factor";

/** What a number may be, how it is shown, and by how much a hand changes it. */
export interface NumberTraits extends Limits {
  /** What it is a number of, which says its unit. */
  readonly quantity: Quantity;
  /** What one turn of the wheel or one arrow key adds. */
  readonly step: number;
}

/** A number or a formula. */
export interface NumberField extends NumberTraits {
  /** Tells it from other kinds of field. */
  readonly type: "number";
  /** What holds when the file leaves it out. */
  readonly default: number;
}

/** A number that follows from others unless it is set by hand. */
export interface FollowingField extends NumberTraits {
  /** Tells it from other kinds of field. */
  readonly type: "following";
}

/** One number for both directions, or one for each. */
export interface PairField extends NumberTraits {
  /** Tells it from other kinds of field. */
  readonly type: "pair";
  /** Both numbers where a design leaves it out. */
  readonly default: Point;
  /** Whether a single number may stand for both. */
  readonly single: boolean;
}

/** One of several words. */
export interface ChoiceField<C extends string = string> {
  /** Tells it from other kinds of field. */
  readonly type: "choice";
  /** Every word that may stand there. */
  readonly choices: readonly C[];
  /** The word where a design leaves it out. */
  readonly default: C;
}

/** Yes or no. */
export interface ToggleField {
  /** Tells it from other kinds of field. */
  readonly type: "toggle";
  /** Whether it holds where a design leaves it out. */
  readonly default: boolean;
}

/** A pivot as computed with: a point in millimetres, shares of the group's box, or the motif's foot. */
export type Pivot = { readonly point: Point } | { readonly share: Point } | typeof FOOT;

/** The motif's foot, as a pivot. */
export const FOOT = "foot";

/** The point a rule turns or scales about. */
export interface PivotField {
  /** Tells it from other kinds of field. */
  readonly type: "pivot";
  /** The pivot where a design leaves it out. */
  readonly default: Pivot;
}

/** Words. */
export interface TextField {
  /** Tells it from other kinds of field. */
  readonly type: "text";
  /** The text where a design leaves it out. */
  readonly default: string;
  /** Characters at most. */
  readonly longest: number;
}

/** The id of another part, or a word that stands for none or for the sheet. */
export interface PartField {
  /** Tells it from other kinds of field. */
  readonly type: "part";
  /** The part's id where a design leaves it out; null for none. */
  readonly default: string;
}

/** `#RRGGBB`, `#RRGGBBAA` or `palette:name`; computed with as a colour without a name. */
export interface ColorField {
  /** Tells it from other kinds of field. */
  readonly type: "color";
}

/** A formula over what a copy knows of itself; null leaves the copies as they are. */
export interface FormulaField {
  /** Tells it from other kinds of field. */
  readonly type: "formula";
  /** What it gives, which says its unit. */
  readonly quantity: Quantity;
  /** What it may ask of a copy. */
  readonly names: readonly string[];
}

/** A list, an object, or one of several: values made of other values. */
export interface StructureField {
  /** Tells it from other kinds of field. */
  readonly type: "structure";
}

/** What is known of a field beside what it does with its values, by its type. */
export type FieldInfo =
  | NumberField
  | FollowingField
  | PairField
  | ChoiceField
  | ToggleField
  | PivotField
  | TextField
  | PartField
  | ColorField
  | FormulaField
  | StructureField;

/** A field of whatever value. */
export type Field = FieldInfo & FieldOf<unknown>;

/** The fields of a definition by name, in the order they are told and written. */
export type FieldTable = Readonly<Record<string, Field>>;

/** What a definition's fields hold once computed: for each name the type its field gives. */
export type FieldsOf<T> = { readonly [Name in keyof T]: FieldInfo & FieldOf<T[Name]> };

/** What is computed from the fields of a table. */
export type ResolvedOf<F> = {
  readonly [Name in keyof F]: F[Name] extends { resolve: (...asked: never[]) => infer T } ? T : never;
};

type StoredIn<F> = F extends { complete: (stored: never) => infer S } ? S : never;

/** What a design holds in the fields of a table, every default in its place; what has none may be left out. */
export type StoredOf<F> = {
  readonly [Name in keyof F as undefined extends StoredIn<F[Name]> ? never : Name]: StoredIn<F[Name]>;
} & {
  readonly [Name in keyof F as undefined extends StoredIn<F[Name]> ? Name : never]?: StoredIn<F[Name]>;
};
