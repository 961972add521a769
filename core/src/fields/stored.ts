import type { NumberValue } from "../formula/numbers";

/** Plain data as a design file holds it in one field. */
export type FieldValue =
  | string
  | number
  | boolean
  | null
  | readonly FieldValue[]
  | { readonly [key: string]: FieldValue | undefined };

/** Two numbers that belong together. */
export type PairValue = { readonly x: NumberValue; readonly y: NumberValue };

/** A pivot given as shares across and down the group's box. */
export type BoxPivotValue = { readonly box: PairValue };

/** Where a thing is set: moved, turned in degrees, sized by a factor. */
export type PlaceValue = {
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly turn: NumberValue;
  readonly size: NumberValue;
};

/** A motif or a rule as the file holds it: a kind, and whichever fields are not at their default. */
export interface StoredFields {
  /** Which of its siblings it is. */
  readonly kind: string;
  /** Its fields as they are written; those that are left out have their default. */
  readonly [field: string]: FieldValue | undefined;
}

/** Fields to store together; undefined brings a default back. */
export type FieldChanges = Readonly<Record<string, FieldValue | undefined>>;

/** A motif as the file holds it, with the place it is set at before any rule. */
export interface Motif extends StoredFields {
  /** Where it stands before any rule. */
  readonly at?: Partial<PlaceValue>;
}

/** Whether a value is an object with named entries, and no list. */
export function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** Whether a value is a number or a text that may be a formula. */
export function isNumberValue(value: unknown): value is NumberValue {
  return typeof value === "number" || typeof value === "string";
}

/** Whether a value is two numbers, and no motif that has a place. */
export function isPair(value: unknown): value is PairValue {
  return isRecord(value) && "x" in value && "y" in value && !("kind" in value);
}

/** Whether a value is a pivot in shares of the group's box. */
export function isBoxPivot(value: unknown): value is BoxPivotValue {
  return isRecord(value) && "box" in value;
}

/** Whether plain data is one of the design's motifs or rules: an object that says its kind. */
export function isStoredFields(value: unknown): value is StoredFields {
  return isRecord(value) && typeof value.kind === "string";
}

/** Same content, whatever the order of the fields. */
export function isSame(a: unknown, b: unknown): boolean {
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return a === b;
  const keys = Object.keys(a);
  if (Array.isArray(a) !== Array.isArray(b) || keys.length !== Object.keys(b).length) return false;
  return keys.every((key) => Object.hasOwn(b, key) && isSame(Reflect.get(a, key), Reflect.get(b, key)));
}
