import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { gapsOf, type Path, type Point } from "../src";
import { flattenPath } from "../src/geometry/flatten";
import { partDesign } from "./testDesign";
import { outlinesOf, partOf } from "./scenes";
import { members } from "./randomMembers";

const gapsIn = (motif: object, rules: readonly object[]) => gapsOf(partOf(partDesign(motif, rules)).geometry);
const row = (move: number, count = 3) => [{ kind: "step", count, move: { x: move, y: 0 }, pivot: { x: 0, y: 0 } }];

describe("gaps between copies", () => {
  test("discs side by side: from outline to outline, touching 0, overlapping below 0 by how deep", () => {
    for (const [move, gap] of [
      [25, 5],
      [20, 0],
      [15, -5],
    ] as const) {
      const { gap: gaps, nearest } = gapsIn({ kind: "disc", radius: 10 }, row(move));
      for (const measured of gaps) expect(measured).toBeCloseTo(gap, 1);
      expect([...nearest]).toEqual([1, expect.any(Number), 1]);
    }
  });

  test("a growing gap, sizes and turns by index", () => {
    const { gap, size, turn } = gapsIn({ kind: "disc", radius: 10 }, [
      { kind: "step", count: 4, turn: 30, scale: 0.5, move: { x: 30, y: 0 }, pivot: { x: 0, y: 0 } },
    ]);
    expect([...size]).toEqual([1, 0.5, 0.25, 0.125].map((wanted) => expect.closeTo(wanted, 9)));
    expect([...turn]).toEqual([0, 30, 60, 90].map((wanted) => expect.closeTo(wanted, 9)));
    // Feet at 0 and (30, 0), radii 10 and 5.
    expect(gap[0]).toBeCloseTo(15, 1);
  });

  test("rectangles: edges, not centres; a ring around a disc; lines that cross touch", () => {
    const bars = gapsIn({ kind: "rectangle", width: 4, height: 40 }, row(10, 2));
    expect(bars.gap[0]).toBeCloseTo(6, 6);
    const nested = gapsIn({ kind: "ring", outer: 20, inner: 18 }, [
      { kind: "step", count: 2, scale: 0.5, pivot: { x: 0, y: 0 } },
    ]);
    expect(nested.gap[0]).toBeCloseTo(8, 1);
    const lines = gapsIn({ kind: "line", length: 40, at: { y: 20 } }, [{ kind: "turn", count: 2, angle: 90 }]);
    expect(lines.gap[0]).toBe(0);
  });

  test("a single copy has no neighbour, and of very many copies only the first are measured", () => {
    expect([...gapsIn({ kind: "disc" }, []).nearest]).toEqual([-1]);
    const tiles = partDesign({ kind: "rectangle", width: 1, height: 1 }, [
      { kind: "grid", columns: 20, rows: 20, pitch: 3 },
    ]);
    const many = gapsOf(partOf(tiles).geometry, 90);
    expect(many.gap).toHaveLength(90);
    expect(many.copies).toBe(400);
    expect(many.gap[77]).toBeCloseTo(2, 6);
  });
});

describe("the nearest of many", () => {
  /** How far a point is from a chord. */
  const fromChord = ({ x, y }: Point, a: Point, b: Point) => {
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const share = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    return Math.hypot(a.x + dx * share - x, a.y + dy * share - y);
  };
  const least = (from: readonly Point[], to: readonly Point[]) =>
    Math.min(...from.map((point) => Math.min(...to.slice(1).map((b, k) => fromChord(point, to[k] ?? b, b)))));

  test("is found among all, whatever stands between, for copies of any sizes", () => {
    const rule = fc.oneof(
      fc.record({
        kind: fc.constant("spiral"),
        form: fc.constantFrom("even", "sunflower"),
        count: fc.integer({ min: 2, max: 40 }),
        turns: fc.integer({ min: 1, max: 5 }),
        inner: fc.integer({ min: 15, max: 40 }),
      }),
      fc.record({
        kind: fc.constant("step"),
        count: fc.integer({ min: 2, max: 25 }),
        turn: fc.integer({ min: -50, max: 50 }),
        scale: fc.double({ min: 0.8, max: 1.1, noNaN: true }),
        move: fc.record({ x: fc.integer({ min: 9, max: 30 }), y: fc.integer({ min: -9, max: 9 }) }),
      }),
      fc.record({ kind: fc.constant("scatter"), count: fc.constant(25), gap: fc.constant(14), seed: fc.nat(99) }),
    );
    fc.assert(
      fc.property(rule, (own) => {
        const part = partOf(partDesign({ kind: "petal", length: 5, width: 2 }, [own]));
        const { gap, nearest } = gapsOf(part.geometry);
        const points = outlinesOf(part).map((path: Path) => flattenPath(path, 0.005).flat());
        points.forEach((one, copy) => {
          const apart = points.map((other, k) =>
            k === copy ? Infinity : Math.min(least(one, other), least(other, one)),
          );
          const measured = gap[copy] ?? 0;
          // How deep those that overlap do is told otherwise.
          if (measured <= 0) return;
          const size = Math.max(...one.map(({ x }) => x)) - Math.min(...one.map(({ x }) => x)) + 5;
          expect(Math.abs(measured - Math.min(...apart))).toBeLessThan(0.02 * size);
          expect(apart[nearest[copy] ?? -1]).toBeLessThan(Math.min(...apart) + 0.02 * size);
        });
      }),
      { numRuns: members(8) },
    );
  });
});
