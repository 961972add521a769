import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  checkSolids,
  lengthOfLayer,
  makeBodies,
  resolveDesign,
  Slicer,
  type Checked,
  type Design,
  type SolidCheckKind,
} from "../src";
import { withGeometryEngine, withSolidEngine } from "./prepared";
import { members } from "./randomMembers";
import { layoutOf } from "./solidModels";
import { designWith, partDesign } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

async function checked(design: Design): Promise<(kind: SolidCheckKind) => Checked> {
  const layout = layoutOf(design);
  const { bodies, whole } = await makeBodies(layout, () => Promise.resolve(), true);
  if (!whole) throw new Error("nothing stands");
  const results = checkSolids({ bodies, whole }, layout, resolveDesign(design).making.solid);
  return (kind) => {
    const found = results.find((one) => one.kind === kind);
    if (!found) throw new Error(`no check ${kind}`);
    return found;
  };
}

async function wholeOf(design: Design) {
  const { whole } = await makeBodies(layoutOf(design), () => Promise.resolve(), true);
  if (!whole) throw new Error("nothing stands");
  return whole;
}

const block = (solid: object, more: object = {}) =>
  partDesign({ kind: "rectangle", width: 20, height: 10, at: { y: 5 } }, [], {
    solid: { depth: 6, ...solid },
    ...more,
  });

describe("checks say what would go wrong, as figures with places", () => {
  test("a block that rests has nothing against it; its amounts are right", async () => {
    const of = await checked(block({ lift: "rest" }));
    const kinds: SolidCheckKind[] = ["closed", "pieces", "holes", "rests", "fits", "walls", "overhangs", "amount"];
    expect(kinds.map((kind) => of(kind).state)).toEqual(kinds.map(() => "passed"));
    expect(of("amount").figures.volume).toBeCloseTo(1200, 3);
    expect(of("amount").figures.area).toBeCloseTo(2 * (200 + 120 + 60), 3);
    expect(of("amount").figures.mass).toBeCloseTo(1.2 * 1.24, 5);
    expect([of("fits").figures.width, of("fits").figures.depth, of("fits").figures.height]).toEqual([20, 10, 6]);
  });

  test("one that floats is doubtful, one below the bed fails", async () => {
    expect((await checked(block({ lift: 2 })))("rests")).toMatchObject({ state: "doubtful", figures: { lowest: 2 } });
    expect((await checked(block({ lift: -1 })))("rests")).toMatchObject({ state: "failed", figures: { lowest: -1 } });
  });

  test("one that leaves the bed says by how much", async () => {
    const of = await checked(block({}, { at: { x: 95 } }));
    expect(of("fits").state).toBe("failed");
    expect(of("fits").figures.beyond).toBeCloseTo(5, 4);
    expect((await checked(block({ depth: 201.5 })))("fits").figures.beyond).toBeCloseTo(1.5, 3);
  });

  test("two blocks apart are two pieces", async () => {
    const of = await checked(
      partDesign({ kind: "disc", radius: 3 }, [{ kind: "ring", count: 3, radius: 20 }], { solid: { depth: 2 } }),
    );
    expect(of("pieces")).toMatchObject({ state: "doubtful", figures: { pieces: 3 } });
    expect(of("pieces").places).toHaveLength(2);
  });

  test("holes that end within are told with their places, those that go through are counted", async () => {
    const drilled = (solid: object) =>
      checked(
        designWith({
          parts: [
            { id: "a", motif: { kind: "disc", radius: 20 }, solid: { depth: 5 } },
            {
              id: "b",
              motif: { kind: "disc", radius: 2 },
              rules: [{ kind: "ring", count: 6, radius: 12 }],
              solid: { role: "cutter", ...solid },
            },
          ],
        }),
      );
    expect((await drilled({ depth: 5 }))("holes")).toMatchObject({
      state: "passed",
      figures: { through: 6, cuts: 6, blind: 0 },
    });
    const blind = (await drilled({ depth: 5, base: 3 }))("holes");
    expect(blind).toMatchObject({ state: "doubtful", figures: { through: 0, cuts: 6, blind: 6 } });
    for (const { x, y, z } of blind.places) {
      expect(Math.hypot(x, y)).toBeCloseTo(12, 3);
      expect(z).toBeCloseTo(2.5, 3);
    }
  });

  test("holes are those of the solid as a whole, whatever its colours and however many pieces they come in", async () => {
    const block = (id: string, color: string, more: object) => ({
      id,
      finish: { fill: color },
      solid: { depth: 4 },
      ...more,
    });
    const petals = { motif: { kind: "petal", length: 18, width: 8 }, rules: [{ kind: "turn", count: 6 }] };
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const through = async (parts: readonly object[]) => (await checked(designWith({ parts })))("holes").figures.through;
    const lily = [
      block("petals", "#C8442B", { ...petals }),
      block("tips", "#D9A24B", { motif: { kind: "disc", radius: 3 }, rules: [{ kind: "ring", count: 6, radius: 16 }] }),
    ];
    expect(await through(lily)).toBe(0);
    await fc.assert(
      fc.asyncProperty(whole(1, 4), whole(1, 5), whole(0, 3), async (tubes, beads, others) => {
        // Tubes apart, each with beads of other colours on its rim, and solid discs of a third colour beside them.
        const parts = [
          block("tubes", "#17566B", {
            motif: { kind: "ring", outer: 10, inner: 5 },
            rules: [{ kind: "step", count: tubes, move: { x: 40, y: 0 } }],
          }),
          block("beads", "#C8442B", {
            motif: { kind: "disc", radius: 1 },
            rules: [
              { kind: "ring", count: beads, radius: 10 },
              { kind: "step", count: tubes, move: { x: 40, y: 0 }, pivot: { x: 0, y: 0 } },
            ],
          }),
          ...(others > 0
            ? [
                block("others", "#D9A24B", {
                  motif: { kind: "disc", radius: 3 },
                  rules: [{ kind: "step", count: others, move: { x: 20, y: 0 } }],
                  at: { y: 50 },
                }),
              ]
            : []),
        ];
        expect(await through(parts)).toBe(tubes);
      }),
      { numRuns: members(6) },
    );
  });

  test("a wall of half a millimetre is thin, one of two is not", async () => {
    const wall = (inner: number) =>
      checked(partDesign({ kind: "ring", outer: 10, inner }, [], { solid: { depth: 8 } }));
    const thin = (await wall(9.5))("walls");
    expect(thin.state).toBe("doubtful");
    expect(thin.figures.thinnest).toBeCloseTo(0.5, 1);
    expect((await wall(8))("walls").state).toBe("passed");
  });

  test("a wing that is tilted further than the angle overhangs with its area, one less does not", async () => {
    const wing = (y: number) => checked(block({ tilt: { y }, lift: "rest" }));
    // Standing at 60° the long side leans out by 30° from the upright, the end below by 60°.
    const steep = (await wing(60))("overhangs");
    expect(steep.figures.area).toBeCloseTo(60, 1);
    const low = (await wing(30))("overhangs");
    expect(low.figures.area).toBeCloseTo(200, 1);
    expect(low.state).toBe("doubtful");
  });
});

describe("layers", () => {
  const settings = { layer: 0.5, walls: 2, filling: 0.25, lineWidth: 0.5 };

  test("a block: two walls around, rows across at the asked share, at alternating angles", async () => {
    const design = block({ lift: "rest" });
    const slicer = new Slicer([await wholeOf(design)], settings);
    expect(slicer.places).toHaveLength(12);
    const [first, second] = [slicer.layer(0), slicer.layer(1)];
    expect(first.area).toBeCloseTo(200, 3);
    expect(first.walls).toHaveLength(2);
    // Lines lie a quarter and three quarters within: 2 (19.5 + 9.5) and 2 (18.5 + 8.5).
    const rows = lengthOfLayer(first) - 58 - 54;
    // 18 × 8 filled by a quarter with lines half a millimetre wide.
    expect(rows).toBeGreaterThan(0.94 * 72);
    expect(rows).toBeLessThan(1.06 * 72);
    const direction = ([x0 = 0, y0 = 0, x1 = 0, y1 = 0]: Float64Array) => Math.sign((x1 - x0) * (y1 - y0));
    expect(direction(first.filling)).toBe(-direction(second.filling));
  });

  test("rows never lie in a hole", async () => {
    const design = partDesign({ kind: "ring", outer: 12, inner: 5 }, [], { solid: { depth: 2 } });
    const slicer = new Slicer([await wholeOf(design)], { ...settings, filling: 1 });
    const { filling } = slicer.layer(0);
    expect(filling.length).toBeGreaterThan(100);
    for (let k = 0; k + 3 < filling.length; k += 4) {
      const [x, y] = [
        ((filling[k] ?? 0) + (filling[k + 2] ?? 0)) / 2,
        ((filling[k + 1] ?? 0) + (filling[k + 3] ?? 0)) / 2,
      ];
      expect(Math.hypot(x, y)).toBeGreaterThan(5.9);
    }
  });
});
