import type { ISchema } from "yup";
import type { NumberValue } from "../formula/numbers";
import type { Point } from "../geometry/point";
import type { Limits } from "./limits";
import type { Resolver } from "./resolver";
import type { StructureValue } from "./structures";

/** How a number is counted, shown and stepped. Lengths are stored in millimetres, angles in degrees. */
export type Quantity = "length" | "angle" | "count" | "share" | "factor";

/** Two numbers that belong together. */
export interface PairValue {
  readonly x: NumberValue;
  readonly y: NumberValue;
}

/** A pivot given as shares across and down the group's box. */
export interface BoxPivotValue {
  readonly box: PairValue;
}

/** Where a thing is set: moved, turned in degrees, sized by a factor. */
export interface PlaceValue {
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly turn: NumberValue;
  readonly size: NumberValue;
}

/** Anything one field of a motif or a rule can hold in the file. */
export type FieldValue = NumberValue | boolean | PairValue | BoxPivotValue | Partial<PlaceValue> | StructureValue;

/** A pivot as computed with: a point in millimetres, or shares of the group's box. */
export type Pivot = { readonly point: Point } | { readonly share: Point };

interface FieldOf<T> {
  /** What holds when the file leaves the field out. */
  readonly default: T;
  /** The value to compute with; problems are noted at the path. */
  resolve: (stored: FieldValue | undefined, resolver: Resolver, path: string) => T;
}

interface NumberTraits extends Limits {
  readonly quantity: Quantity;
  /** What one turn of the wheel or one arrow key adds. */
  readonly step: number;
}

export interface NumberField extends FieldOf<number>, NumberTraits {
  readonly type: "number";
}

/** A number that follows from others unless it is set by hand. */
export interface FollowingField extends FieldOf<number | undefined>, NumberTraits {
  readonly type: "following";
}

/** One number for both directions, or one for each. */
export interface PairField extends FieldOf<Point>, NumberTraits {
  readonly type: "pair";
  /** Whether a single number may stand for both. */
  readonly single: boolean;
}

export interface ChoiceField<C extends string = string> extends FieldOf<C> {
  readonly type: "choice";
  readonly choices: readonly C[];
}

export interface ToggleField extends FieldOf<boolean> {
  readonly type: "toggle";
}

export interface PivotField extends FieldOf<Pivot> {
  readonly type: "pivot";
}

/** Words, or the name of something. */
export interface TextField extends FieldOf<string> {
  readonly type: "text";
  /** Characters at most. */
  readonly longest: number;
}

/** A formula computed for each copy, with the named numbers it uses at their present values. */
export interface CopyFormula {
  readonly text: string;
  readonly numbers: Readonly<Record<string, number>>;
}

/** A formula over what a copy knows of itself; null leaves the copies as they are. */
export interface FormulaField extends FieldOf<CopyFormula | null> {
  readonly type: "formula";
  readonly quantity: Quantity;
  /** What it may ask of a copy. */
  readonly names: readonly string[];
}

/** A list or an object of its own shape: nodes, steps, strokes, other motifs. */
export interface StructureField {
  readonly type: "structure";
  readonly default: unknown;
  resolve: (stored: FieldValue | undefined, resolver: Resolver, path: string) => unknown;
  /** What the file may hold there. */
  schema: () => ISchema<unknown>;
}

export type Field =
  | NumberField
  | FollowingField
  | PairField
  | ChoiceField
  | ToggleField
  | PivotField
  | TextField
  | FormulaField
  | StructureField;

/** The fields of a definition by name, in the order they are told. */
export type FieldTable = Readonly<Record<string, Field>>;

export function isNumberValue(value: unknown): value is NumberValue {
  return typeof value === "number" || typeof value === "string";
}

export function isPair(value: FieldValue | undefined): value is PairValue {
  return typeof value === "object" && "x" in value && "y" in value && !("kind" in value);
}

function isBoxPivot(value: FieldValue | undefined): value is BoxPivotValue {
  return typeof value === "object" && "box" in value;
}

const TRAITS: Readonly<Record<Quantity, NumberTraits>> = {
  length: { quantity: "length", min: -10_000, max: 10_000, whole: false, step: 1 },
  angle: { quantity: "angle", min: -3_600, max: 3_600, whole: false, step: 1 },
  count: { quantity: "count", min: 1, max: 200_000, whole: true, step: 1 },
  share: { quantity: "share", min: 0, max: 1, whole: false, step: 0.05 },
  factor: { quantity: "factor", min: -100, max: 100, whole: false, step: 0.01 },
};

type Overrides = Partial<Limits> & { readonly step?: number };

export function number(quantity: Quantity, standard: number, overrides: Overrides = {}): NumberField {
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "number",
    ...traits,
    default: standard,
    resolve: (stored, resolver, path) => (isNumberValue(stored) ? resolver.number(stored, traits, path) : standard),
  };
}

/** A length that has to be there: more than nothing, at most ten metres. */
export function extent(standard: number): NumberField {
  return number("length", standard, { min: 0.001 });
}

export function following(quantity: Quantity, overrides: Overrides = {}): FollowingField {
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "following",
    ...traits,
    default: undefined,
    resolve: (stored, resolver, path) => (isNumberValue(stored) ? resolver.number(stored, traits, path) : undefined),
  };
}

export function pair(quantity: Quantity, standard: Point, options: Overrides & { single: boolean }): PairField {
  const { single, ...overrides } = options;
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "pair",
    ...traits,
    single,
    default: standard,
    resolve(stored, resolver, path) {
      if (isNumberValue(stored)) {
        const both = resolver.number(stored, traits, path);
        return { x: both, y: both };
      }
      return isPair(stored) ? resolvePair(stored, traits, resolver, path) : standard;
    },
  };
}

export function choice<const C extends string>(choices: readonly C[], standard: NoInfer<C>): ChoiceField<C> {
  return {
    type: "choice",
    choices,
    default: standard,
    resolve: (stored) => choices.find((known) => known === stored) ?? standard,
  };
}

export function toggle(standard: boolean): ToggleField {
  return {
    type: "toggle",
    default: standard,
    resolve: (stored) => (typeof stored === "boolean" ? stored : standard),
  };
}

export function text(standard: string, longest: number): TextField {
  return {
    type: "text",
    default: standard,
    longest,
    resolve: (stored) => (typeof stored === "string" ? stored : standard),
  };
}

export function formula(quantity: Quantity, names: readonly string[]): FormulaField {
  return {
    type: "formula",
    quantity,
    names,
    default: null,
    resolve: (stored, resolver, path) =>
      isNumberValue(stored) ? resolver.copyFormula(String(stored), names, path) : null,
  };
}

interface StructureParts<S, T> {
  readonly default: T;
  /** Tells the field's own values from others'. */
  readonly is: (stored: FieldValue) => stored is FieldValue & S;
  readonly schema: () => ISchema<unknown>;
  readonly resolve: (stored: S, resolver: Resolver, path: string) => T;
}

export function structure<S, T>(parts: StructureParts<S, T>): StructureField & FieldOf<T> {
  return {
    type: "structure",
    default: parts.default,
    schema: parts.schema,
    resolve: (stored, resolver, path) =>
      stored !== undefined && parts.is(stored) ? parts.resolve(stored, resolver, path) : parts.default,
  };
}

export const PIVOT_LIMITS: Limits = TRAITS.length;
/** A pivot may stand outside the group's box, within reason. */
export const BOX_SHARE_LIMITS: Limits = { min: -100, max: 100, whole: false };

export function pivot(standard: Pivot): PivotField {
  return {
    type: "pivot",
    default: standard,
    resolve(stored, resolver, path) {
      if (isBoxPivot(stored)) return { share: resolvePair(stored.box, BOX_SHARE_LIMITS, resolver, `${path}.box`) };
      return isPair(stored) ? { point: resolvePair(stored, PIVOT_LIMITS, resolver, path) } : standard;
    },
  };
}

function resolvePair(stored: PairValue, limits: Limits, resolver: Resolver, path: string): Point {
  return {
    x: resolver.number(stored.x, limits, `${path}.x`),
    y: resolver.number(stored.y, limits, `${path}.y`),
  };
}

/** What a definition's fields hold once computed: for each name the type its field gives. */
export type FieldsOf<T> = { readonly [Name in keyof T]: Field & FieldOf<T[Name]> };

/** A motif or a rule as the file holds it: a kind, and whichever fields are not at their default. */
export interface StoredFields {
  readonly kind: string;
  readonly [field: string]: FieldValue | undefined;
}

type Resolvable<T> = { readonly [Name in keyof T]: FieldOf<T[Name]> };

/** The computed values of every field of a definition. */
export function resolveFields<T extends object>(
  fields: Resolvable<T>,
  stored: StoredFields,
  resolver: Resolver,
  path: string,
): T {
  const values: Partial<T> = {};
  for (const name in fields) values[name] = fields[name].resolve(stored[name], resolver, `${path}.${name}`);
  if (!isComplete(values, fields)) throw new Error(`fields of ${stored.kind} are missing`);
  return values;
}

function isComplete<T extends object>(values: Partial<T>, fields: Resolvable<T>): values is T {
  return Object.keys(fields).every((name) => name in values);
}
