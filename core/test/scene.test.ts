import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { boxOfGeometry, buildScene, colorAt, countCoinciding, SceneBuilder, type Design } from "../src";
import { designWith, partDesign } from "./testDesign";
import { members } from "./randomMembers";

function two(change: object = {}): Design {
  return designWith({
    numbers: [{ name: "petals", value: 8 }],
    parts: [
      { id: "a", motif: { kind: "petal" }, rules: [{ kind: "turn", count: "petals" }], ...change },
      { id: "b", motif: { kind: "disc", radius: 5 } },
    ],
  });
}

function onlyPart(design: Design) {
  const [part] = buildScene(design).parts;
  if (!part) throw new Error("no part");
  return part;
}

describe("what changed, and only that, is computed again", () => {
  test("a colour keeps all geometry, a number of one part keeps the other", () => {
    const builder = new SceneBuilder();
    const [a, b] = builder.build(two()).parts;
    const [painted] = builder.build(two({ finish: { fill: "#AA3311" } })).parts;
    expect(painted?.geometry).toBe(a?.geometry);
    expect(painted?.finish.fill).toEqual({ kind: "flat", color: "#AA3311" });
    const [moved, kept] = builder.build(two({ rules: [{ kind: "turn", count: 9 }] })).parts;
    expect(moved?.geometry.placements.count).toBe(9);
    expect(moved?.geometry.path).toBe(a?.geometry.path);
    expect(kept?.geometry).toBe(b?.geometry);
  });

  test("a named number reaches every part that uses it", () => {
    const builder = new SceneBuilder();
    builder.build(two());
    const [a] = builder.build({ ...two(), numbers: [{ name: "petals", value: 5 }] }).parts;
    expect(a?.geometry.placements.count).toBe(5);
  });

  test("a part whose numbers are wrong stays as it was, and the rest goes on", () => {
    const builder = new SceneBuilder();
    const [before] = builder.build(two()).parts;
    const broken = builder.build({ ...two(), numbers: [{ name: "petals", value: "1 / 0" }] });
    expect(broken.parts[0]?.geometry).toBe(before?.geometry);
    expect(broken.parts).toHaveLength(2);
    expect(broken.problems.map(({ path }) => path)).toEqual(["numbers[0].value", "parts[0].rules[0].count"]);
  });

  test("a changed design computes to what it computes to from nothing, and always to the same", () => {
    const design = fc
      .tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: -90, max: 90 }), fc.constantFrom("petal", "star"))
      .map(([count, turn, kind]) =>
        partDesign({ kind }, [
          { kind: "step", count, turn, scale: 0.97 },
          { kind: "turn", count: 3 },
        ]),
      );
    fc.assert(
      fc.property(fc.array(design, { minLength: 2, maxLength: 4 }), (designs) => {
        const builder = new SceneBuilder();
        return designs.every((next) => {
          const live = builder.build(next).parts[0]?.geometry.placements.matrices ?? new Float64Array();
          const fresh = onlyPart(next).geometry.placements.matrices;
          return live.every(Number.isFinite) && Buffer.from(live.buffer).equals(Buffer.from(fresh.buffer));
        });
      }),
      { numRuns: members(40) },
    );
  });
});

describe("paint", () => {
  const colors = ["#111111", "#222222", "#333333"];
  const indexesOf = (by: string, rules: readonly object[]) => {
    const part = onlyPart(
      partDesign({ kind: "petal", at: { x: 3, turn: 5 } }, rules, { finish: { fill: { kind: "cycle", colors, by } } }),
    );
    const colorOf = colorAt(part.finish.fill ?? { kind: "flat", color: "#000000" }, part.geometry.placements);
    return Array.from({ length: part.geometry.placements.count }, (_, copy) => colors.indexOf(colorOf(copy)));
  };

  test("cycles by the running index, by ring, and by the index under one rule", () => {
    expect(indexesOf("index", [{ kind: "turn", count: 7 }])).toEqual([0, 1, 2, 0, 1, 2, 0]);
    expect(indexesOf("ring", [{ kind: "ring", count: 2, rings: 3, growth: 1 }])).toEqual([0, 0, 1, 1, 1, 2, 2, 2, 2]);
    const rules = [
      { kind: "step", count: 2 },
      { kind: "reflect", on: false },
      { kind: "turn", count: 4 },
    ];
    expect(indexesOf("rule:3", rules)).toEqual([0, 0, 1, 1, 2, 2, 0, 0]);
    expect(indexesOf("rule:1", rules)).toEqual([0, 1, 0, 1, 0, 1, 0, 1]);
    expect(indexesOf("rule:2", rules)).toEqual([0, 0, 0, 0, 0, 0, 0, 0]);
  });
});

describe("copies that coincide", () => {
  const coincidingIn = (motif: object, rules: readonly object[]) => {
    const { shapes, placements } = onlyPart(partDesign(motif, rules)).geometry;
    return countCoinciding(shapes, placements);
  };

  test("are counted, the motif's symmetry included", () => {
    expect(coincidingIn({ kind: "disc" }, [{ kind: "turn", count: 17 }])).toBe(16);
    expect(coincidingIn({ kind: "star", points: 6 }, [{ kind: "turn", count: 18 }])).toBe(15);
    expect(coincidingIn({ kind: "petal" }, [{ kind: "turn", count: 8 }])).toBe(0);
    expect(coincidingIn({ kind: "petal" }, [{ kind: "turn", count: 24, angle: 30 }])).toBe(12);
    expect(coincidingIn({ kind: "petal" }, [{ kind: "turn", count: 8 }, { kind: "reflect" }])).toBe(6);
    expect(coincidingIn({ kind: "ellipse" }, [{ kind: "turn", count: 12 }])).toBe(6);
    expect(
      coincidingIn({ kind: "disc", radius: 3 }, [
        { kind: "ring", count: 10 },
        { kind: "turn", count: 5 },
      ]),
    ).toBe(40);
    expect(
      coincidingIn({ kind: "disc", radius: 3 }, [
        { kind: "ring", count: 10 },
        { kind: "turn", count: 5, angle: 1 },
      ]),
    ).toBe(0);
  });
});

describe("boxes", () => {
  test("a part's box is that of all its copies, exactly", () => {
    const box = boxOfGeometry(
      onlyPart(partDesign({ kind: "disc", radius: 5 }, [{ kind: "ring", count: 4, radius: 30 }])).geometry,
    );
    for (const side of [-box.left, -box.top, box.right, box.bottom]) expect(side).toBeCloseTo(35, 9);
  });
});
