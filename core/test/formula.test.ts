import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { compileFormula, nameTrouble, replaceName, resolveNumbers, scopeOf } from "../src";

const valueOf = (formula: string, names: Record<string, number> = {}) =>
  compileFormula(formula).evaluate(scopeOf(new Map(Object.entries(names))));

describe("formulas", () => {
  test.each([
    ["2 + 3 * 4", 14],
    ["(2 + 3) * 4", 20],
    ["-2^2", -4],
    ["2^-1", 0.5],
    ["2^3^2", 512],
    ["2 - 3 - 4", -5],
    ["24 / 4 / 2", 3],
    ["6 × 7 ÷ 2 − 1", 20],
    ["sin(30)", 0.5],
    ["cos(90)", 0],
    ["atan2(1, 1)", 45],
    ["mod(-1, 5)", 4],
    ["clamp(7, 0, 5)", 5],
    ["lerp(10, 20, 0.25)", 12.5],
    ["min(3, 1, 2)", 1],
    ["max(3)", 3],
    ["ln(e)", 1],
    ["log10(1000)", 3],
    ["goldenAngle", 137.50776405],
    ["tau / pi", 2],
    ["1.5e2 + .5", 150.5],
    ["--3", 3],
  ])("%s = %d", (formula, value) => expect(valueOf(formula)).toBeCloseTo(value, 8));

  test("uses named numbers and tells which", () => {
    const compiled = compileFormula("360 / petals + sin(petals) * twist");
    expect(compiled.names).toEqual(["petals", "twist"]);
    expect(valueOf("360 / petals", { petals: 12 })).toBe(30);
  });

  test.each([
    ["", "empty"],
    ["2 +", "breaks off"],
    ["2 3", "“3” is not expected"],
    ["(2", "a “)” is missing"],
    ["foo(2)", "no function called “foo”"],
    ["petalz", "no number called “petalz”"],
    ["sin", "needs its values in brackets"],
    ["sin(1, 2)", "takes 1 values, not 2"],
    ["1 / 0", "not finite"],
    ["0 / 0", "no value"],
    ["sqrt(-1)", "no value"],
    ["a = 3", "“=” does not belong"],
    ["this.constructor", "“.” does not belong"],
    ["constructor(1)", "no function called “constructor”"],
    ["__proto__", "no number called"],
    ["`x`", "does not belong"],
    [`${"(".repeat(500)}1${")".repeat(500)}`, "nested too deeply"],
  ])("%s is refused: %s", (formula, reason) => expect(() => valueOf(formula)).toThrow(reason));

  test("agrees with arithmetic on random expressions", () => {
    const tree = fc.letrec<{ node: string }>((tie) => ({
      node: fc.oneof(
        { depthSize: "small" },
        fc.integer({ min: 0, max: 99 }).map(String),
        fc.tuple(tie("node"), fc.constantFrom("+", "-", "*"), tie("node")).map(([a, sign, b]) => `(${a} ${sign} ${b})`),
        tie("node").map((inner) => `(-${inner})`),
      ),
    })).node;
    // The oracle is the language's own arithmetic, on text made of digits, brackets and three signs.
    const oracle = (text: string) => Number(Function(`return ${text}`)());
    fc.assert(fc.property(tree, (text) => valueOf(text) === oracle(text)));
  });
});

describe("named numbers", () => {
  test("are computed whichever order they stand in", () => {
    const { values, problems } = resolveNumbers([
      { name: "pitch", value: "360 / holes" },
      { name: "holes", value: 24 },
    ]);
    expect(values.get("pitch")).toBe(15);
    expect(problems).toEqual([]);
  });

  test("circles, unknown names and infinite results each have their own message at their own path", () => {
    const { values, problems } = resolveNumbers([
      { name: "a", value: "b + 1" },
      { name: "b", value: "c * 2" },
      { name: "c", value: "a" },
      { name: "d", value: "missing" },
      { name: "f", value: "1 / 0" },
      { name: "good", value: 3 },
      { name: "selfish", value: "selfish" },
    ]);
    expect(problems.map(({ path }) => path)).toEqual([0, 1, 2, 3, 4, 6].map((index) => `numbers[${index}].value`));
    expect(problems[0]?.message).toBe("goes round in a circle: a → b → c → a");
    expect(problems[3]?.message).toContain("no number called “missing”");
    expect(problems[4]?.message).toContain("not finite");
    expect(problems[5]?.message).toContain("selfish → selfish");
    expect([...values.keys()]).toEqual(["good"]);
  });

  test("cannot take a name that formulas already use", () => {
    expect(nameTrouble("petals_2")).toBeNull();
    expect(nameTrouble("sin")).toContain("already means");
    expect(nameTrouble("2x")).toContain("letter");
    expect(nameTrouble("a b")).toContain("letter");
  });

  test("are renamed in formulas as whole names only", () => {
    expect(replaceName("n + inn / n2 * n", "n", "count")).toBe("count + inn / n2 * count");
    expect(replaceName("n + #", "n", "count")).toBe("n + #");
  });
});
