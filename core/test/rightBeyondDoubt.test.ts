import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { mixed, object, ValidationError, type ISchema } from "yup";
import { choice } from "../src/fields/choice";
import { leavesOf } from "../src/fields/entries";
import type { FieldOf } from "../src/fields/field";
import { given } from "../src/fields/given";
import { list } from "../src/fields/list";
import { number } from "../src/fields/number";
import { optional } from "../src/fields/optional";
import { point } from "../src/fields/point";
import { record } from "../src/fields/record";
import { toggle } from "../src/fields/toggle";
import type { Problem } from "../src/formula/problem";
import { scopeOf } from "../src/formula/numbers";
import { members } from "./randomMembers";

const LIMITS = { min: -10, max: 10, whole: false };
const FIELD = record({
  x: given(number("length", 0, LIMITS)),
  count: number("count", 3, { min: 1, max: 9 }),
  at: optional(point({ x: 0, y: 0 }, LIMITS)),
  way: choice(["corner", "smooth"], "corner"),
  on: toggle(false),
});
const CONTEXT = { scope: scopeOf(new Map()), brokenNumbers: new Set(), paletteNames: new Set(), motif: mixed() };

const odd = fc.constantFrom<unknown>(
  0,
  1,
  2.5,
  -10,
  10,
  11,
  -11,
  1e-9,
  Number.NaN,
  Infinity,
  "3",
  "x",
  "corner",
  "smooth",
  true,
  null,
  undefined,
  {},
  [],
);
const pair = fc.record({ x: odd, y: odd, z: odd }, { requiredKeys: [] });
const node = fc.record(
  {
    x: odd,
    y: odd,
    count: odd,
    at: fc.oneof(pair, odd),
    in: fc.oneof(pair, odd),
    way: odd,
    type: odd,
    on: odd,
    constructor: odd,
  },
  { requiredKeys: [] },
);

const isValid = (schema: ISchema<unknown>, value: unknown) =>
  object({ value: schema }).isValidSync({ value }, { strict: true, context: CONTEXT });

test("what is told to be right without its schema is right by it, whatever it is", () => {
  let right = 0;
  const agrees = (field: Pick<FieldOf<unknown>, "isRight" | "schema">, value: unknown): void => {
    if (!field.isRight?.(value)) return;
    right += 1;
    expect([value, isValid(field.schema(), value)]).toEqual([value, true]);
  };
  fc.assert(
    fc.property(fc.array(node, { maxLength: 5 }), odd, (nodes, value) => {
      for (const one of [...nodes, value]) agrees(FIELD, one);
      for (const field of [number("length", 0, LIMITS), toggle(true), choice(["corner"], "corner")])
        agrees(field, value);
    }),
    { numRuns: members(400) },
  );
  expect(right).toBeGreaterThan(100);
});

test("of many entries of which one is wrong that one is told, at its place", () => {
  const nodes = Array.from({ length: 500 }, (_, k) => ({ x: k % 10, way: "corner" }));
  const faulty = [...nodes.slice(0, 250), { x: 0, way: "bent" }, ...nodes.slice(250)];
  const schema = list(FIELD, { most: 1_000 }).schema();
  expect(isValid(schema, nodes)).toBe(true);
  const told = () =>
    object({ value: schema }).validateSync({ value: faulty }, { strict: true, abortEarly: false, context: CONTEXT });
  expect(faultsOf(told)).toEqual([{ path: "value[250].way", message: "must be one of corner, smooth" }]);
});

function faultsOf(check: () => unknown): readonly Problem[] {
  try {
    check();
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return leavesOf(error);
  }
}
