import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { layersOf, openEdges, type SolidModel, boxOfMesh } from "../src";
import { withFonts, withGeometryEngine, withSolidEngine } from "./prepared";
import { members } from "./randomMembers";
import { modelOf } from "./solidModels";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine(), withFonts()]);
});

const TOLERANCE = 0.05;
const motif = fc.constantFrom(
  { kind: "petal", length: 20, width: 8 },
  { kind: "star", points: 5, outer: 12, inner: 5 },
  { kind: "ring", outer: 10, inner: 7 },
  { kind: "leaf", length: 22, width: 9, bend: 0.3 },
  { kind: "polygon", sides: 6, radius: 9, corner: 2 },
  { kind: "line", length: 18 },
  { kind: "text", text: "&B", size: 14 },
);
const edge = fc.record({
  shape: fc.constantFrom("round", "bevel"),
  size: fc.constantFrom(0, 0.3, 1.5, 9),
  at: fc.constantFrom("both", "top", "bottom"),
});
const angle = fc.integer({ min: -170, max: 170 });
const form = fc.oneof(
  fc.record({
    depth: fc.constantFrom(0.5, 3, 12),
    taper: fc.constantFrom(0, 0.4, 1, 1.6),
    twist: fc.constantFrom(0, 0, 25, -140),
    edge,
  }),
  fc.record({ form: fc.constant("dome"), depth: fc.constantFrom(2, 7) }),
  fc.record({ form: fc.constant("revolve"), sweep: fc.constantFrom(360, 200) }),
);
const tilt = fc.record({ x: angle, y: angle, z: angle });
const rules = fc.constantFrom<object[]>(
  [],
  [{ kind: "ring", count: 7, radius: 14 }],
  [{ kind: "step", count: 6, turn: 33, scale: { x: 0.9, y: 0.8 }, move: { x: 3, y: 0 }, rise: 2.5, zScale: 0.9 }],
  [{ kind: "reflect" }, { kind: "turn", count: 3 }],
  [
    { kind: "grid", columns: 3, rows: 2, pitch: 21 },
    { kind: "vary", rise: "i", tiltX: "15 * i", tiltY: "40 * t" },
  ],
);
const part = fc.record({ motif, form, tilt, rules });
type RandomPart = { motif: object; form: object; tilt: object; rules: object[] };

const FINISH = { fill: "#1E6F5C", line: { width: 1.5 } };
const partWith = (id: string, { motif, form, tilt, rules }: RandomPart, more: object = {}, solid: object = {}) => ({
  id,
  motif,
  rules,
  finish: FINISH,
  solid: { ...form, tilt, lift: "rest", ...solid },
  ...more,
});
const made = (parts: object[]) => modelOf(designWith({ parts }), TOLERANCE);
const sum = ({ bodies }: SolidModel, of: "volume" | "genus" | "area") =>
  bodies.reduce((all, body) => all + body[of], 0);

describe("whatever the motif, form, edges, tilt and rules", () => {
  test("solids are closed, and their layers hold their volume", async () => {
    await fc.assert(
      fc.asyncProperty(part, async (random) => {
        const model = await made([partWith("a", random)]);
        expect(model.problems).toEqual([]);
        for (const { mesh, volume } of model.bodies) {
          expect(openEdges(mesh)).toHaveLength(0);
          expect(volume).toBeGreaterThan(0);
          let laid = 0;
          // A cone's layers, cut in their middles, miss a quarter of the square of their share of its height.
          const { min, max } = boxOfMesh(mesh) ?? { min: [0, 0, 0], max: [0, 0, 1] };
          const layer = Math.min(0.1, ((max[2] ?? 1) - (min[2] ?? 0)) / 20);
          const settings = { layer, walls: 0, filling: 0, lineWidth: 0.4 };
          for (const { area, height } of layersOf(mesh, settings)) laid += area * height;
          expect(Math.abs(laid - volume) / volume).toBeLessThan(0.005);
        }
      }),
      { numRuns: members(3) },
    );
  });

  test("turning and moving the whole changes neither volume nor holes", async () => {
    await fc.assert(
      fc.asyncProperty(part, angle, async (random, turn) => {
        const [before, after] = [
          await made([partWith("a", random)]),
          await made([partWith("a", random, { at: { x: 31, y: -7, turn } })]),
        ];
        expect(Math.abs(sum(after, "volume") / sum(before, "volume") - 1)).toBeLessThan(1e-3);
        expect(sum(after, "genus")).toBe(sum(before, "genus"));
      }),
      { numRuns: members(3) },
    );
  });

  test("copies that lie apart have the sum of their volumes", async () => {
    await fc.assert(
      fc.asyncProperty(part, fc.integer({ min: 2, max: 9 }), async (random, count) => {
        const far = [{ kind: "ring", count, radius: 400 }];
        const [one, all] = [
          await made([partWith("a", { ...random, rules: [] })]),
          await made([partWith("a", { ...random, rules: far })]),
        ];
        expect(Math.abs(sum(all, "volume") / (count * sum(one, "volume")) - 1)).toBeLessThan(1e-4);
      }),
      { numRuns: members(3) },
    );
  });

  test("what is cut away and what is left are what was", async () => {
    await fc.assert(
      fc.asyncProperty(part, part, async (random, other) => {
        const cutter = partWith("b", other, {}, { role: "cutter", through: 0 });
        const whole = await made([partWith("a", random)]);
        const left = await made([partWith("a", random), cutter]);
        // The common part: of two colours what lies above keeps it.
        const above = partWith("b", other, { finish: { ...FINISH, fill: "#C8442B" } });
        const both = await made([partWith("a", random), above]);
        const below = both.bodies.find(({ color }) => color === "#1E6F5C");
        const difference = below?.volume ?? 0;
        expect(Math.abs(sum(left, "volume") - difference)).toBeLessThan(1e-3 * sum(whole, "volume"));
        expect(sum(left, "volume")).toBeLessThanOrEqual(sum(whole, "volume") * (1 + 1e-6));
      }),
      { numRuns: members(3) },
    );
  });
});
