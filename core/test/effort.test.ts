import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, readDesign } from "../src";
import { crossingsAmong } from "../src/geometry/crossingsAmong";
import { spend, TooMuchEffort, withEffort } from "../src/geometry/effort";
import type { Path } from "../src/geometry/path";
import { polygonOf } from "../src/geometry/path";
import { combine } from "../src/geometry/boolean/boolean";
import { spendOnSweep } from "../src/geometry/boolean/sweepEffort";
import { wholeNumbers } from "../src/geometry/boolean/wholeNumbers";
import { ORIGIN } from "../src/geometry/point";
import { randomFrom } from "../src/geometry/random";
import { sewArea, sewLine } from "../src/thread/sewn";
import { designWith } from "./testDesign";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

interface Line {
  readonly x: number;
  readonly y: number;
  readonly u: number;
  readonly v: number;
}

const outlineOf = ({ x, y, u, v }: Line): Path => [{ closed: false, coordinates: [x, y, x, y, u, v, u, v] }];

/** How often straight lines cross, every two held against each other. */
function counted(lines: readonly Line[]): number {
  const turn = (ax: number, ay: number, bx: number, by: number) => Math.sign(ax * by - ay * bx);
  const parts = (a: Line, b: Line) =>
    turn(a.u - a.x, a.v - a.y, b.x - a.x, b.y - a.y) !== turn(a.u - a.x, a.v - a.y, b.u - a.x, b.v - a.y);
  let count = 0;
  lines.forEach((a, k) => {
    for (const b of lines.slice(0, k)) if (parts(a, b) && parts(b, a)) count++;
  });
  return count;
}

describe("how often outlines cross", () => {
  test("is guessed well for random lines, long ones and short ones", () => {
    fc.assert(
      fc.property(
        fc.integer(),
        fc.constantFrom(20, 60, 200),
        fc.integer({ min: 700, max: 1_100 }),
        (seed, length, many) => {
          const random = randomFrom(seed);
          const lines = Array.from({ length: many }, (): Line => {
            const [x, y, turn] = [400 * random(), 400 * random(), 2 * Math.PI * random()];
            return { x, y, u: x + length * Math.cos(turn), v: y + length * Math.sin(turn) };
          });
          const share = crossingsAmong(lines.map(outlineOf)) / counted(lines);
          expect(share).toBeGreaterThan(0.7);
          expect(share).toBeLessThan(1.4);
        },
      ),
      { numRuns: members(20) },
    );
  });

  test("squares side by side share their sides and cross nowhere; squares set off by half cross four times", () => {
    const square = (x: number, y: number): Path => [
      polygonOf([
        { x, y },
        { x: x + 10, y },
        { x: x + 10, y: y + 10 },
        { x, y: y + 10 },
      ]),
    ];
    const rows = (offset: number) =>
      Array.from({ length: 900 }, (_, k) => square((k % 30) * 10 + offset, Math.floor(k / 30) * 10 + offset));
    // Each inner side is there twice: 2 × 30 × 29 lie on each other.
    expect(crossingsAmong(rows(0)) / (2 * 30 * 29)).toBeCloseTo(1, 0);
    // Every side of the one set is crossed by those of the other, once in its middle at each side.
    const both = crossingsAmong([...rows(0), ...rows(5)]);
    const shared = 2 * 2 * 30 * 29;
    // Each pair of overlapping squares crosses twice: 30² + 3 × 29 × … pairs, counted by their corners within the other.
    const pairs = Array.from({ length: 900 }, (_, k) => [k % 30, Math.floor(k / 30)] as const).reduce(
      (sum, [column, row]) => sum + (column < 29 ? 2 : 1) * (row < 29 ? 2 : 1),
      0,
    );
    expect((both - shared) / (2 * pairs)).toBeGreaterThan(0.6);
    expect((both - shared) / (2 * pairs)).toBeLessThan(1.6);
  });
});

describe("effort", () => {
  test("is told where there is more than there may be, and counts for what is around it", () => {
    expect(withEffort(10, () => spend(3)).spent).toBe(3);
    expect(() => withEffort(2, () => spend(3))).toThrow(TooMuchEffort);
    const { spent } = withEffort(10, () => {
      withEffort(4, () => spend(4));
      expect(() => withEffort(9, () => spend(7))).toThrow(TooMuchEffort);
      return null;
    });
    expect(spent).toBe(11);
    // Nobody asked: nothing is refused.
    expect(() => spend(1e9)).not.toThrow();
  });
});

describe("a design that costs too much", () => {
  const overlapping = (count: number, mode: string) => ({
    parts: [
      {
        id: "a",
        name: "Discs",
        motif: { kind: "disc", radius: 8 },
        rules: [{ kind: "grid", columns: count, rows: count, pitch: { x: 1, y: 1 } }],
        join: { mode },
      },
      { id: "b", motif: { kind: "disc", radius: 3 } },
    ],
  });

  test.each(["evenOdd", "faces"])("by %s is refused at its count; its other parts are there", async (mode) => {
    await withGeometryEngine();
    const scene = buildScene(designWith(overlapping(38, mode)));
    expect(scene.problems).toEqual([
      {
        path: "parts[0].rules[0].columns",
        message: expect.stringMatching(/^takes about \d+ (seconds|minutes) or more .*: lower this/),
      },
    ]);
    expect(scene.parts.map(({ id }) => id)).toEqual(["b"]);
    expect(buildScene(designWith(overlapping(5, mode))).problems).toEqual([]);
  });

  test("by its copies in all parts is refused before anything is computed", () => {
    const part = (id: string, columns: number) => ({
      id,
      motif: { kind: "disc", radius: 1 },
      rules: [{ kind: "grid", columns, rows: 400 }],
    });
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [part("a", 300), part("b", 500), part("c", 300)],
    });
    expect(problems).toEqual([
      { path: "parts[1].rules[0].columns", message: expect.stringContaining("440,000 copies") },
    ]);
  });

  test.each([
    ["a rule that makes copies", { kind: "step", count: 200, scale: 2 }, "parts[0].rules[0]"],
    ["a rule that changes them", { kind: "vary", moveX: 4e9 }, "parts[0].rules[0]"],
  ])("by how far %s sets them is refused at the rule", (_, rule, path) => {
    const { problems } = buildScene(
      designWith({ parts: [{ id: "a", motif: { kind: "disc", radius: 1 }, rules: [rule] }] }),
    );
    expect(problems).toEqual([{ path, message: expect.stringContaining("farther away, than can be drawn") }]);
  });

  test("by its sides is refused at its count", () => {
    const star = { kind: "star", points: 1000, outer: 10, inner: 5 };
    const scene = buildScene(designWith({ parts: [{ id: "a", motif: star, rules: [{ kind: "turn", count: 6000 }] }] }));
    expect(scene.problems).toEqual([
      { path: "parts[0].rules[0].count", message: expect.stringContaining("12,000,000 sides") },
    ]);
  });
});

describe("what the engine's sweep takes", () => {
  /** A toothed band of so many teeth, packed as the engine takes it: every tooth begins and ends at heights of its own. */
  const toothed = (teeth: number) => {
    const points = Array.from({ length: 2 * teeth }, (_, k): [number, number] => [k, k % 2 === 0 ? k : 100_000 - k]);
    return wholeNumbers(points.flatMap(([x, y], k) => [x, y, k + 1]));
  };
  const takenBy = (polygons: readonly BigInt64Array[]) => withEffort(Infinity, () => spendOnSweep(polygons)).spent;

  test("goes by how many heights there are, times how many edges are at each", () => {
    // 4,000 teeth: 8,000 heights, and nearly every edge goes from top to bottom less what the teeth are shorter by.
    const heights = 8_000;
    const lengths = Array.from({ length: heights }, (_, k) => {
      const [own, next] = [k, (k + 1) % heights].map((n) => (n % 2 === 0 ? n : 100_000 - n));
      return Math.abs((own ?? 0) - (next ?? 0));
    });
    const edges = lengths.reduce((sum, length) => sum + length, 0) / (100_000 - 1);
    expect(takenBy([toothed(4_000)])).toBeCloseTo(heights * edges * 4e-8, 9);
    expect(takenBy([toothed(8_000)]) / takenBy([toothed(4_000)])).toBeCloseTo(4, 0);
    expect(takenBy([toothed(1_000)])).toBe(0);
  });

  test("many turns within one another are refused for it, though they cross nowhere", async () => {
    await withGeometryEngine();
    const turns = polygonOf(
      Array.from({ length: 60_000 }, (_, k) => {
        const [turn, away] = [(2 * Math.PI * k) / 60, 2 + k / 100];
        return { x: away * Math.cos(turn), y: away * Math.sin(turn) };
      }),
    );
    const square = polygonOf([-50, 50].flatMap((x) => [-50 * Math.sign(x), 50 * Math.sign(x)].map((y) => ({ x, y }))));
    expect(() => withEffort(3, () => combine([[turns], [square]], "intersection"))).toThrow(TooMuchEffort);
  });
});

describe("what is sewn is counted before there is a stitch", () => {
  const square = [
    polygonOf([-500, 500].flatMap((x) => [-500 * Math.sign(x), 500 * Math.sign(x)].map((y) => ({ x, y })))),
  ];
  const limits = { longest: 7, shortest: 0.4, pull: 0 };
  const line = { kind: "running", times: 1, length: 2.5, width: 3, spacing: 0.4, place: "center" } as const;

  // A square of a metre: a million square millimetres, and four metres around.
  test.each<[string, () => unknown, number]>([
    [
      "rows 0.1 mm apart of stitches 0.5 mm long",
      () =>
        sewArea(
          square,
          ORIGIN,
          { angle: 0, spacing: 0.1, length: 0.5, shift: 0, wave: { length: 12, height: 0 }, inset: 0 },
          "none",
          limits,
        ),
      20_000_000,
    ],
    [
      "satin 100 mm wide, 0.1 mm apart",
      () => sewLine(square, { ...line, kind: "satin", width: 100, spacing: 0.1 }, "none", limits),
      1_142_857,
    ],
    [
      "a running line of 0.3 mm, each stitch three times",
      () => sewLine(square, { ...line, length: 0.3, times: 3 }, "none", limits),
      40_000,
    ],
  ])("%s", async (_, sew, points) => {
    await withGeometryEngine();
    const enough = points * 6e-6;
    expect(() => withEffort(enough * 0.99, sew)).toThrow(TooMuchEffort);
    if (points < 100_000) expect(() => withEffort(enough * 1.01, sew)).not.toThrow();
  });
});
