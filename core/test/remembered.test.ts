import { describe, expect, test } from "@jest/globals";
import { resolveDesign } from "../src/design/resolve";
import { designWith } from "./testDesign";

describe("what a stored value comes to is remembered by it", () => {
  const plain = { kind: "disc", radius: 4 };
  const design = designWith({
    numbers: [{ name: "n", value: 5 }],
    palette: [{ name: "ink", color: "#112233" }],
    making: { cut: { kerf: "n / 10" } },
    parts: [
      { id: "a", motif: plain, finish: { fill: "palette:ink", opacity: "n / 10" } },
      { id: "b", motif: plain, finish: { fill: "#445566" } },
    ],
  });
  const [first, second] = design.parts;

  test("what says it all by itself is the same object each time", () => {
    const [one, two] = [resolveDesign(design), resolveDesign({ ...design, name: "Another" })];
    expect(two.parts[1]?.motif).toBe(one.parts[1]?.motif);
    expect(two.making.stitch).toBe(one.making.stitch);
  });

  test("formulas and colours by name are looked up each time", () => {
    const changed = resolveDesign({
      ...design,
      numbers: design.numbers.map((own) => ({ ...own, value: 8 })),
      palette: [{ name: "ink", color: "#ABCDEF" }],
    });
    const before = resolveDesign(design);
    expect([before.making.cut.kerf, changed.making.cut.kerf]).toEqual([0.5, 0.8]);
    expect([before.parts[0]?.finish.opacity, changed.parts[0]?.finish.opacity]).toEqual([0.5, 0.8]);
    expect(JSON.stringify(before.parts[0]?.finish)).toContain("#112233");
    expect(JSON.stringify(changed.parts[0]?.finish)).toContain("#ABCDEF");
  });

  test("what is wrong is told each time, at the place where it stands", () => {
    if (!first || !second) throw new Error("no parts");
    const wrong = { ...first, finish: { ...first.finish, opacity: "n * m" } };
    const problemsOf = (parts: typeof design.parts) => resolveDesign({ ...design, parts }).problems;
    expect(problemsOf([wrong, second]).map(({ path }) => path)).toEqual(["parts[0].finish.opacity"]);
    expect(problemsOf([second, wrong]).map(({ path }) => path)).toEqual(["parts[1].finish.opacity"]);
  });
});
