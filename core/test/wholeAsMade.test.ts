import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { planCut, planStitches, type Design } from "../src";
import { lengthOf } from "../src/cut/outlines";
import { NEXT_THREAD, SEWN } from "../src/stitch/sewnThread";
import { buildScene } from "../src/scene/sceneBuilder";
import { members } from "./randomMembers";
import { modelOf } from "./solidModels";
import { withGeometryEngine, withSolidEngine } from "./prepared";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await withGeometryEngine();
  await withSolidEngine();
});

const ROWS = { fill: { angle: 20, spacing: 1 }, line: { kind: "satin", width: 2 } };
const SATIN = { fill: null, line: { kind: "satin", width: 3 } };

/** A star and a disc that say how they are made. */
const star = (more: object = {}) => ({
  id: "star",
  motif: { kind: "star", points: 5, outer: 9, inner: 5 },
  finish: { fill: "#C8442B" },
  stitch: ROWS,
  solid: { depth: 9 },
  cut: { as: "score" },
  ...more,
});
const disc = (more: object = {}) => ({
  id: "disc",
  motif: { kind: "disc", radius: 3, at: { x: 12 } },
  finish: { fill: "#17566B" },
  stitch: SATIN,
  solid: { depth: 3 },
  ...more,
});

/** Millimetres of thread that is sewn, by its colour. */
function threadOf(design: Design): Record<string, number> {
  const { x, y, how, threads } = planStitches(buildScene(design));
  const lengths = threads.map(() => 0);
  let thread = 0;
  how.forEach((code, k) => {
    if (code === NEXT_THREAD) thread += 1;
    if (code === SEWN && k > 0)
      lengths[thread] =
        (lengths[thread] ?? 0) + Math.hypot((x[k] ?? 0) - (x[k - 1] ?? 0), (y[k] ?? 0) - (y[k - 1] ?? 0));
  });
  return Object.fromEntries(threads.map(({ color }, k) => [color, lengths[k] ?? 0]));
}

async function volumesOf(design: Design): Promise<Record<string, number>> {
  const { bodies, problems } = await modelOf(design);
  expect(problems).toEqual([]);
  return Object.fromEntries(bodies.map(({ color, volume }) => [color, volume]));
}

/** Millimetres that are gone over, by way. */
function cutsOf(design: Design): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { as, runs } of planCut(buildScene(design)).strokes) found[as] = (found[as] ?? 0) + lengthOf(runs);
  return found;
}

function expectAlike(found: Record<string, number>, wanted: Record<string, number>, share: number): void {
  expect(Object.keys(found).sort()).toEqual(Object.keys(wanted).sort());
  for (const [name, value] of Object.entries(wanted)) {
    expect(Math.abs((found[name] ?? 0) - value)).toBeLessThanOrEqual(share * value);
  }
}

describe("a part that repeats others whole is made as they are", () => {
  const ring = (count: number) => [{ kind: "ring", count, radius: 45 }];
  const grouped = (count: number, more: object = {}) =>
    designWith({
      groups: [{ id: "both", role: "tool" }],
      parts: [
        star({ group: "both" }),
        disc({ group: "both" }),
        { id: "whole", motif: { kind: "part", part: "both" }, rules: ring(count), ...more },
      ],
    });
  const singly = (count: number) => designWith({ parts: [star({ rules: ring(count) }), disc({ rules: ring(count) })] });

  test("thread, volume and cuts of a group on a ring are those of its parts repeated singly", async () => {
    const [whole, each] = [grouped(7), singly(7)];
    expectAlike(threadOf(whole), threadOf(each), 1e-9);
    expectAlike(cutsOf(whole), cutsOf(each), 1e-9);
    const volumes = await volumesOf(whole);
    expectAlike(volumes, await volumesOf(each), 1e-9);
    // A star of ten corners: ten triangles of half outer · inner · sin 36°.
    const area = 10 * 0.5 * 9 * 5 * Math.sin(Math.PI / 5);
    expectAlike({ star: volumes["#C8442B"] ?? 0 }, { star: 7 * area * 9 }, 1e-6);
  });

  test("what it says itself of how it is made holds for all of it", () => {
    const said = grouped(7, { stitch: "none" });
    expect(threadOf(said)).toEqual({});
    expect(cutsOf(grouped(7, { cut: { as: "draw" } }))).toEqual({ draw: expect.any(Number) });
    expect(cutsOf(grouped(7, { cut: "none" }))).toEqual({});
  });

  test("random: groups in groups, wholes of wholes, heights and sizes along the rules", async () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const inner = fc.constantFrom<object[]>(
      [],
      [{ kind: "turn", count: 3 }],
      [{ kind: "step", count: 3, move: { x: 25, y: 0 }, scale: 0.8, rise: 4, pivot: { x: 0, y: 0 } }],
      [{ kind: "reflect" }],
    );
    const outer = (reach: number) =>
      fc.constantFrom<object[]>(
        [{ kind: "ring", count: 5, radius: reach }],
        [{ kind: "step", count: 3, move: { x: reach, y: 0 }, turn: 15, scale: 0.9, rise: 7, pivot: { x: 0, y: 0 } }],
        [{ kind: "grid", columns: 2, rows: 2, pitch: reach }],
      );
    await fc.assert(
      fc.asyncProperty(
        inner,
        inner,
        outer(80),
        outer(331),
        whole(1, 12),
        fc.boolean(),
        async (a, b, c, d, depth, isNested) => {
          const solid = { solid: { depth } };
          const parts = (more: readonly object[]) => [
            star({ rules: [...a, ...more], ...solid }),
            disc({ rules: [...b, ...more] }),
          ];
          const [first, second] = parts([]);
          const each = designWith({ sheet: { width: 400, height: 400 }, parts: parts(isNested ? [...c, ...d] : c) });
          const group = (id: string, part: string, rules: object[]) => ({ id, motif: { kind: "part", part }, rules });
          const all = designWith({
            sheet: { width: 400, height: 400 },
            groups: [
              { id: "outer", role: "tool" },
              { id: "inner", within: "outer", role: "show" },
            ],
            parts: [
              { ...first, group: "inner" },
              { ...second, group: "outer" },
              { ...group("whole", "outer", c), ...(isNested && { role: "tool" }) },
              ...(isNested ? [group("twice", "whole", d)] : []),
            ],
          });
          expectAlike(cutsOf(all), cutsOf(each), 1e-6);
          expectAlike(await volumesOf(all), await volumesOf(each), 1e-6);
          expectAlike(threadOf(all), threadOf(each), 1e-6);
        },
      ),
      { numRuns: members(8) },
    );
  });
});
