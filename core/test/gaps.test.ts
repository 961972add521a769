import { describe, expect, test } from "@jest/globals";
import { gapsOf } from "../src";
import { partDesign } from "./testDesign";
import { partOf } from "./scenes";

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
