import "./yupWords";
import {
  mixed,
  object,
  Schema,
  string,
  ValidationError,
  type ISchema,
  type ObjectShape,
  type TestContext,
  type ValidateOptions,
} from "yup";
import { compileFormula, type Scope } from "../formula/compile";
import { FormulaError } from "../formula/formulaError";
import type { NumberValue } from "../formula/numbers";
import { readCopyFormula } from "./copyFormula";
import { colorTrouble } from "./colors";
import { valueOf, type Limits } from "./limits";
import { isNumberValue, isRecord } from "./stored";

/** What the tests of a schema are told about the design they stand in. */
export interface SchemaContext {
  /** The design's named numbers. */
  readonly scope: Scope;
  /** Named numbers that have no value; formulas that use one are not reported a second time. */
  readonly brokenNumbers: ReadonlySet<string>;
  /** Colours that may be named. */
  readonly paletteNames: ReadonlySet<string>;
  /** The schema of any motif, for those that stand inside others. */
  readonly motif: ISchema<unknown>;
}

function isContext(value: unknown): value is SchemaContext {
  return typeof value === "object" && value !== null && "scope" in value && "brokenNumbers" in value;
}

/** What a schema's test is told about the design it stands in. Throws where it was told nothing. */
function contextOf(test: TestContext): SchemaContext {
  if (!isContext(test.options.context)) throw new Error("a design is validated with its context");
  return test.options.context;
}

/** A motif inside another, read by the schema of all motifs. */
export function nestedMotifSchema(_value: unknown, { context }: { readonly context?: unknown }): ISchema<unknown> {
  if (!isContext(context)) throw new Error("a design is validated with its context");
  return context.motif;
}

/** Whether a schema is one by itself, and not one that is made when a value is met. */
export function isSchema(schema: ISchema<unknown>): schema is ISchema<unknown> & Adaptable {
  return schema instanceof Schema;
}

/** What can be asked of a schema by itself. */
interface Adaptable {
  required: () => ISchema<unknown>;
  nullable: () => ISchema<unknown>;
  validateSync: (value: unknown, options: ValidateOptions) => unknown;
}

/** The path of a field of what stands at a path; what is looked at by itself stands at none. */
export function pathTo(path: string, key: string): string {
  return path ? `${path}.${key}` : key;
}

/** Unknown fields that are told one by one. */
const MOST_TOLD = 20;

/** An object with these fields and no others; each unknown one is an error at its own path. */
export function exactly(shape: ObjectShape) {
  return object(shape).test("known", function (value: unknown) {
    const unknown = isRecord(value) ? Object.keys(value).filter((key) => !Object.hasOwn(shape, key)) : [];
    if (unknown.length === 0) return true;
    const known = Object.keys(shape).join(", ");
    const errors = unknown.slice(0, MOST_TOLD).map((key) =>
      this.createError({
        path: pathTo(this.path, key),
        message: `is not a field here; known are ${known}`,
      }),
    );
    return new ValidationError(errors, value, this.path);
  });
}

function usesBrokenNumber(stored: NumberValue, broken: ReadonlySet<string>): boolean {
  if (typeof stored === "number") return false;
  try {
    return compileFormula(stored).names.some((name) => broken.has(name));
  } catch (error) {
    if (error instanceof FormulaError) return false;
    throw error;
  }
}

/** A number or a formula whose value is within limits. */
export function numberValue(limits: Limits) {
  return mixed<NumberValue>().test("number", function (value: unknown) {
    if (value === undefined) return true;
    if (!isNumberValue(value)) return this.createError({ message: "must be a number or a formula" });
    const { scope, brokenNumbers } = contextOf(this);
    if (usesBrokenNumber(value, brokenNumbers)) return true;
    const outcome = valueOf(value, limits, scope);
    return "value" in outcome || this.createError({ message: outcome.trouble });
  });
}

/** A number or a formula that may ask a copy for some names. */
export function copyFormulaValue(names: readonly string[]) {
  return mixed<NumberValue>().test("formula", function (value: unknown) {
    if (value === undefined) return true;
    if (!isNumberValue(value)) return this.createError({ message: "must be a number or a formula" });
    const { scope, brokenNumbers } = contextOf(this);
    if (usesBrokenNumber(value, brokenNumbers)) return true;
    const outcome = readCopyFormula(String(value), names, scope);
    return "text" in outcome || this.createError({ message: outcome.trouble });
  });
}

/** A plain number, where a formula makes no sense. */
export function plainNumber() {
  return mixed<number>().test(
    "plain",
    "must be a finite number",
    (value) => value === undefined || (typeof value === "number" && Number.isFinite(value)),
  );
}

/** A text of at most so many characters. */
export function words(most: number) {
  return string().max(most);
}

/** A colour that the palette has, or one of its own. */
export function colorValue() {
  return mixed<string>().test("color", function (value: unknown) {
    if (value === undefined || value === null) return true;
    const trouble =
      typeof value === "string" ? colorTrouble(value, contextOf(this).paletteNames) : "must be a colour as text";
    return trouble === null || this.createError({ message: trouble });
  });
}

/** An object with x and y. */
export function pairOf(limits: Limits) {
  return exactly({ x: numberValue(limits).required(), y: numberValue(limits).required() });
}
