import { cosDegrees, sinDegrees, toDegrees, toRadians } from "../geometry/angle";

/** A function formulas may call. Angles are degrees. */
interface FormulaFunction {
  readonly least: number;
  /** The most arguments it takes; Infinity where any number will do. */
  readonly most: number;
  readonly compute: (...values: number[]) => number;
}

const one = (compute: (x: number) => number): FormulaFunction => ({
  least: 1,
  most: 1,
  compute: (x = NaN) => compute(x),
});
const two = (compute: (x: number, y: number) => number): FormulaFunction => ({
  least: 2,
  most: 2,
  compute: (x = NaN, y = NaN) => compute(x, y),
});
const three = (compute: (x: number, y: number, z: number) => number): FormulaFunction => ({
  least: 3,
  most: 3,
  compute: (x = NaN, y = NaN, z = NaN) => compute(x, y, z),
});
const many = (compute: (...values: number[]) => number): FormulaFunction => ({ least: 1, most: Infinity, compute });

/** Every function a formula may use; nothing else can be called. */
export const FUNCTIONS: ReadonlyMap<string, FormulaFunction> = new Map([
  ["sin", one(sinDegrees)],
  ["cos", one(cosDegrees)],
  ["tan", one((x) => Math.tan(toRadians(x)))],
  ["asin", one((x) => toDegrees(Math.asin(x)))],
  ["acos", one((x) => toDegrees(Math.acos(x)))],
  ["atan", one((x) => toDegrees(Math.atan(x)))],
  ["atan2", two((y, x) => toDegrees(Math.atan2(y, x)))],
  ["sqrt", one(Math.sqrt)],
  ["abs", one(Math.abs)],
  ["min", many(Math.min)],
  ["max", many(Math.max)],
  ["floor", one(Math.floor)],
  ["ceil", one(Math.ceil)],
  ["round", one(Math.round)],
  // The result takes the divisor's sign, so that mod(i, n) counts round and round for any i.
  ["mod", two((x, y) => x - y * Math.floor(x / y))],
  ["pow", two(Math.pow)],
  ["exp", one(Math.exp)],
  ["ln", one(Math.log)],
  ["log10", one(Math.log10)],
  ["clamp", three((x, low, high) => Math.min(Math.max(x, low), high))],
  ["lerp", three((from, to, t) => from + (to - from) * t)],
]);

/** Constants by name; goldenAngle is in degrees. */
export const CONSTANTS: ReadonlyMap<string, number> = new Map([
  ["pi", Math.PI],
  ["tau", 2 * Math.PI],
  ["e", Math.E],
  ["phi", (1 + Math.sqrt(5)) / 2],
  ["goldenAngle", 180 * (3 - Math.sqrt(5))],
]);
