import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, findRoots, gapsOf, goalOf, type Design, type Search } from "../src";
import { withGeometryEngine } from "./prepared";
import { partOf } from "./scenes";
import { partDesign } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const range = { whole: false, onProgress: () => true };

/** Looks for the values of a number with which a goal is met. */
async function solved(
  kind: string,
  wanted: number,
  designAt: (value: number) => Design,
  { from, to, whole = false, part = "a" }: { from: number; to: number; whole?: boolean; part?: string },
): Promise<Search> {
  const goal = goalOf(kind);
  if (!goal) throw new Error(`no goal ${kind}`);
  const measure = (value: number) => Promise.resolve(goal.measure(buildScene(designAt(value)), part, wanted));
  const search = await findRoots({ ...range, from, to, whole, within: goal.within, measure });
  if (!search) throw new Error("it was ended");
  return search;
}

const rootsOf = ({ roots }: Search) => roots.map(({ at }) => at);

describe("roots of what is measured", () => {
  test("every root of a polynomial between its places is found, and a jump is none", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(
          fc.integer({ min: -40, max: 40 }).filter((root) => root % 2 === 0),
          { minLength: 1, maxLength: 4 },
        ),
        async (own) => {
          const expected = own.map((root) => root * 5.3 + 0.1).sort((a, b) => a - b);
          const measure = (x: number) =>
            Promise.resolve(expected.reduce((product, root) => product * (x - root) * 0.1, 1));
          const search = await findRoots({ ...range, from: -240, to: 240, within: 1e-6, measure });
          expect(search?.roots).toHaveLength(expected.length);
          search?.roots.forEach(({ at }, k) => expect(at).toBeCloseTo(expected[k] ?? NaN, 6));
        },
      ),
      { numRuns: members(60) },
    );
    const jump = await findRoots({
      ...range,
      from: -1,
      to: 2,
      within: 0.01,
      measure: (x) => Promise.resolve(x < 0.3 ? -1 : 2),
    });
    expect(jump?.roots).toEqual([]);
    expect(jump?.nearest?.off).toBe(-1);
  });

  test("whole numbers are each tried, and a search can be ended", async () => {
    const measure = (x: number) => Promise.resolve(Math.abs(x - 7) - 2);
    const search = await findRoots({ ...range, whole: true, from: 1, to: 40, within: 0, measure });
    expect(search?.roots.map(({ at }) => at)).toEqual([5, 9]);
    expect(await findRoots({ ...range, from: 0, to: 1, within: 0, measure, onProgress: () => false })).toBeNull();
  });
});

describe("a number is set until something holds", () => {
  test("blades of a plaster fan touch where another measure finds hardly a gap, and none over the other", async () => {
    const nodes = [
      { x: 0, y: 0, out: { x: -1, y: -22 }, in: { x: 2, y: -26 } },
      { x: -15, y: -84, in: { x: 0, y: 24 }, out: { x: 0, y: -22 } },
      { x: 5, y: -142, in: { x: -12, y: 6 }, out: { x: 9, y: 7 } },
      { x: 18, y: -106, in: { x: 2, y: -14 }, out: { x: -3, y: 22 } },
    ];
    const blade = { kind: "drawn", paths: [{ closed: true, nodes }] };
    const opened = (turn: number) => partDesign(blade, [{ kind: "step", count: 9, turn, pivot: { x: 0, y: 0 } }]);
    const { roots } = await solved("gap", 0, opened, { from: 4, to: 36 });
    expect(roots).toHaveLength(1);
    const [{ at: opening, off } = { at: 0, off: 1 }] = roots;
    expect(Math.abs(off)).toBeLessThan(0.01);
    // The gap chart's own measure, by coarser chords, tells how deep blades lie over each other.
    const depthAt = (turn: number) => Math.min(...gapsOf(partOf(opened(turn)).geometry).gap);
    expect(depthAt(opening - 1)).toBeLessThan(-0.5);
    expect(depthAt(opening)).toBeGreaterThan(-0.2);
    expect(depthAt(opening + 1)).toBeGreaterThan(-0.01);
  });

  test("discs on a ring touch where their chord is as long as they are wide, or stand a length apart", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 3, max: 20 }),
        fc.integer({ min: 3, max: 9 }),
        fc.constantFrom(0, 1.5),
        async (count, radius, wanted) => {
          const ring = (value: number) =>
            partDesign({ kind: "disc", radius }, [{ kind: "ring", count, radius: value }]);
          const [root, ...others] = rootsOf(await solved("gap", wanted, ring, { from: 0.001, to: 80 }));
          expect(root).toBeCloseTo((2 * radius + wanted) / (2 * Math.sin(Math.PI / count)), 1);
          expect(others).toEqual([]);
        },
      ),
      { numRuns: members(4) },
    );
  });

  test("triangles turned about a shared tip touch at their sides", async () => {
    const nodes = [
      { x: 0, y: 0 },
      { x: -10, y: -40 },
      { x: 10, y: -40 },
    ];
    const fan = (angle: number) =>
      partDesign({ kind: "drawn", paths: [{ closed: true, nodes }] }, [
        { kind: "turn", count: 5, angle, pivot: { x: 0, y: 0 } },
      ]);
    const [root] = rootsOf(await solved("gap", 0, fan, { from: 5, to: 60 }));
    expect(root).toBeCloseTo((2 * Math.atan(0.25) * 180) / Math.PI, 2);
  });

  test("steps close the circle after one round or more", async () => {
    const step = (turn: number) =>
      partDesign({ kind: "petal" }, [{ kind: "step", count: 5, turn, pivot: { x: 0, y: 30 } }]);
    const search = await solved("closes", 0, step, { from: 10, to: 179 });
    expect(rootsOf(search).map((at) => Math.round(at * 1e6) / 1e6)).toEqual([72, 144]);
  });

  test("a part is as wide and as high as asked, keeps the margin, and paints a share of the sheet", async () => {
    const line = { width: 2, paint: "#2B2140" };
    const disc = (radius: number) => partDesign({ kind: "disc", radius }, [], { finish: { line } });
    for (const [kind, wanted, radius] of [
      ["width", 100, 49],
      ["height", 60, 29],
      ["margin", 10, 89],
    ] as const) {
      expect(rootsOf(await solved(kind, wanted, disc, { from: 5, to: 99 }))[0]).toBeCloseTo(radius, 1);
    }
    const bare = (radius: number) => partDesign({ kind: "disc", radius });
    const [root] = rootsOf(await solved("share", 0.25, bare, { from: 5, to: 99 }));
    expect(root).toBeCloseTo(Math.sqrt((0.25 * 200 * 200) / Math.PI), 1);
    const none = await solved("width", 500, bare, { from: 5, to: 99 });
    expect(none.roots).toEqual([]);
    expect(none.nearest?.at).toBe(99);
  });
});
