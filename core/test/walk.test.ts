import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { boxOfPath, buildScene, readDesign, traceWalk, type TakenStep, type WalkStep } from "../src";
import { areaOfPath } from "../src/geometry/path";
import { partDesign } from "./testDesign";

const pathOf = (steps: readonly object[]) =>
  buildScene(partDesign({ kind: "walk", steps })).parts[0]?.geometry.path ?? [];

describe("a walk", () => {
  test("of n sides and turns of 360/n closes within 1e-9, with the polygon's own area", () => {
    for (const n of [3, 4, 5, 7, 12, 360]) {
      const steps: WalkStep[] = [
        {
          kind: "times",
          times: n,
          steps: [
            { kind: "go", length: 10 },
            { kind: "turn", angle: 360 / n },
          ],
        },
      ];
      const { gap, turned } = traceWalk(steps, () => undefined);
      expect(gap).toBeLessThan(1e-9);
      expect(Math.abs(turned)).toBeLessThan(1e-9);
      const path = pathOf([{ times: n, steps: [{ go: 10 }, { turn: `360 / ${n}` }] }]);
      expect(path).toHaveLength(1);
      expect(path[0]?.closed).toBe(true);
      expect(areaOfPath(path)).toBeCloseTo((n * 100) / (4 * Math.tan(Math.PI / n)), 6);
    }
  });

  test("tells how far it misses closing, and how much its heading is off", () => {
    const end = traceWalk(
      [
        {
          kind: "times",
          times: 4,
          steps: [
            { kind: "go", length: 10 },
            { kind: "turn", angle: 80 },
          ],
        },
      ],
      () => undefined,
    );
    // Four sides turned by 80°: the chord of 4 × 80° on the circle through them.
    expect(end.gap).toBeCloseTo(
      (10 / (2 * Math.sin((40 * Math.PI) / 180))) * 2 * Math.abs(Math.sin((160 * Math.PI) / 180)),
      9,
    );
    expect(end.turned).toBeCloseTo(-40, 9);
  });

  test("skipping moves without drawing, so that what follows is a run of its own", () => {
    const path = pathOf([{ go: 5 }, { skip: 3 }, { go: 2 }]);
    expect(path.map(({ coordinates }) => [coordinates.at(1), coordinates.at(-1)])).toEqual([
      [0, -5],
      [-8, -10],
    ]);
  });

  test("every step knows where it is written and the count of every level", () => {
    const taken: TakenStep[] = [];
    traceWalk(
      [
        {
          kind: "times",
          times: 2,
          steps: [
            { kind: "times", times: 3, steps: [{ kind: "go", length: 1 }] },
            { kind: "turn", angle: 90 },
          ],
        },
      ],
      (step) => void taken.push(step),
    );
    expect(taken).toHaveLength(8);
    expect(taken[5]).toMatchObject({
      place: [0, 0, 0],
      rounds: [
        { round: 2, times: 2 },
        { round: 2, times: 3 },
      ],
    });
    expect(taken[7]).toMatchObject({ place: [0, 1], kind: "turn", heading: 180 });
  });

  test("stays as long as its steps, whatever it does", () => {
    const step = fc.oneof(
      fc.record({ kind: fc.constant("go" as const), length: fc.double({ min: -20, max: 20, noNaN: true }) }),
      fc.record({ kind: fc.constant("turn" as const), angle: fc.double({ min: -180, max: 180, noNaN: true }) }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let walked = 0;
        const { gap } = traceWalk(steps, ({ from, to }) => {
          walked += Math.hypot(to.x - from.x, to.y - from.y);
        });
        const asked = steps.reduce((sum, one) => sum + (one.kind === "go" ? Math.abs(one.length) : 0), 0);
        return Math.abs(walked - asked) < 1e-9 * Math.max(1, asked) && gap <= asked + 1e-9;
      }),
    );
  });

  test("without end is refused before it is walked; so are steps that are none", () => {
    const read = (steps: unknown) =>
      readDesign({ format: "twin-petal/1", parts: [{ id: "a", motif: { kind: "walk", steps } }] }).problems;
    const deep = [{ times: 1000, steps: [{ times: 1000, steps: [{ go: 1 }] }] }];
    expect(read(deep)).toEqual([{ path: "parts[0].motif.steps", message: expect.stringContaining("1,000,000 steps") }]);
    expect(read([{ hop: 3 }])[0]?.message).toContain("go, turn, skip");
    expect(read([{ times: 2, steps: [{ go: "len" }] }])[0]?.path).toBe("parts[0].motif.steps[0].steps[0].go");
    expect(boxOfPath(pathOf([]))).toMatchObject({ left: Infinity });
  });
});
