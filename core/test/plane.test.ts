import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ASYMMETRIC_UNITS, invert, LATTICES, PLANE_GROUP_SYMBOLS, PLANE_GROUPS, type Matrix } from "../src";
import { apply } from "../src/geometry/matrix";
import { areaWithin } from "../src/geometry/area";
import { areaOfPath, polygonOf } from "../src/geometry/path";
import { inSheet } from "../src/rules/gridLayout";
import { cellForGroup, inCell } from "../src/rules/lattice";
import { designWith, partDesign } from "./testDesign";
import { feetOf, matricesOf, partOf } from "./scenes";
import { members } from "./randomMembers";

const ASKEW = { kind: "petal", length: 4, width: 2, at: { x: 1, turn: 20 } };

describe("asymmetric units", () => {
  test.each(PLANE_GROUP_SYMBOLS)("%s: the unit's images cover the cell once", (symbol) => {
    const { shape, operations } = PLANE_GROUPS[symbol];
    const cell = cellForGroup(shape, { x: 20, y: 26 }, { a: { x: 20, y: 3 }, b: { x: -7, y: 24 } });
    const corners = ASYMMETRIC_UNITS[symbol].map(([u, v]) => inCell(cell, u, v));
    const whole = areaOfPath([
      polygonOf(
        [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ].map(([u = 0, v = 0]) => inCell(cell, u, v)),
      ),
    ]);
    expect(areaOfPath([polygonOf(corners)]) * operations.length).toBeCloseTo(whole, 6);
    const unit = areaWithin([polygonOf(corners)]);
    const maps: Matrix[] = operations.flatMap((operation) => {
      const own = inSheet(operation, cell);
      return [-2, -1, 0, 1, 2].flatMap((m) =>
        [-2, -1, 0, 1, 2].flatMap((n) => {
          const { x, y } = inCell(cell, m, n);
          const back = invert([own[0], own[1], own[2], own[3], own[4] + x, own[5] + y]);
          return back ? [back] : [];
        }),
      );
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0.003, max: 0.997, noNaN: true }),
        fc.double({ min: 0.003, max: 0.997, noNaN: true }),
        (u, v) => {
          // A point on an edge may count for both sides; such points are as good as never drawn.
          const point = inCell(cell, u + 1e-5, v + 2e-5);
          return maps.filter((back) => unit.contains(apply(back, point))).length === 1;
        },
      ),
      { numRuns: members(200), seed: 7 },
    );
  });
});

describe("the seamless tile of a grid", () => {
  const tileOf = (rule: object) =>
    partOf(partDesign(ASKEW, [{ kind: "grid", ...rule }]))
      .geometry.tiles()
      .get(0);

  test("figures", () => {
    expect(tileOf({ pitch: 20 })).toEqual({ width: 20, height: 20 });
    expect(tileOf({ lattice: "rectangle", pitch: { x: 20, y: 30 }, alternate: { columns: "flip" } })).toEqual({
      width: 40,
      height: 30,
    });
    expect(tileOf({ lattice: "brick", pitch: { x: 20, y: 30 } })).toEqual({ width: 20, height: 60 });
    expect(tileOf({ lattice: "diamond", pitch: { x: 20, y: 30 } })).toEqual({ width: 20, height: 30 });
    expect(tileOf({ lattice: "hex", pitch: 20 })?.height).toBeCloseTo(20 * Math.sqrt(3), 9);
    expect(tileOf({ group: "p6mm", pitch: 20 })?.height).toBeCloseTo(20 * Math.sqrt(3), 9);
    expect(tileOf({ lattice: "free", vectors: { a: { x: 12, y: 6 }, b: { x: -6, y: 12 } } })).toEqual({
      width: 30,
      height: 30,
    });
    expect(tileOf({ lattice: "free", vectors: { a: { x: 10, y: 1 }, b: { x: 0.5, y: Math.SQRT2 } } })).toBeUndefined();
  });

  test("moved by its tile's sides, what is inside a grid falls on the grid again", () => {
    const rules = [
      ...LATTICES.flatMap((lattice) => [{ lattice }, { lattice, alternate: { columns: "flip", rows: "turn" } }]),
      ...PLANE_GROUP_SYMBOLS.map((group) => ({ group })),
    ].map((own) => ({ pitch: { x: 12, y: 18 }, columns: 14, rows: 14, ...own }));
    for (const rule of rules) {
      const part = partOf(partDesign(ASKEW, [{ kind: "grid", ...rule }]));
      const tile = part.geometry.tiles().get(0);
      if (!tile) throw new Error(`no tile for ${JSON.stringify(rule)}`);
      const keyOf = ([a, b, c, d, e, f]: Matrix) =>
        [a, b, c, d, e, f].map((entry) => Math.round(entry * 1e4) + 0).join();
      const matrices = matricesOf(part);
      const known = new Set(matrices.map(keyOf));
      const inner = matrices.filter(([, , , , e, f]) => Math.abs(e) < 20 && Math.abs(f) < 20);
      expect(inner.length).toBeGreaterThan(0);
      for (const [a, b, c, d, e, f] of inner) {
        expect(known.has(keyOf([a, b, c, d, e + tile.width, f]))).toBe(true);
        expect(known.has(keyOf([a, b, c, d, e, f + (tile.height ?? 0)]))).toBe(true);
      }
    }
  });
});

describe("a grid that fills", () => {
  test("the sheet: every spot of it is covered, nothing lies wholly beside it", () => {
    const tile = { kind: "rectangle", width: 20, height: 20, at: { x: 0, y: 10 } };
    for (const more of [
      {},
      { lattice: "brick" },
      { lattice: "free", vectors: { a: { x: 20, y: 4 }, b: { x: 0, y: 20 } } },
    ]) {
      const feet = feetOf(partOf(partDesign(tile, [{ kind: "grid", fill: "sheet", pitch: 20, ...more }])));
      for (const { x, y } of feet) {
        expect(Math.abs(x)).toBeLessThan(110.001);
        expect(Math.abs(y)).toBeLessThan(110.001);
      }
      for (let x = -99; x < 100; x += 6) {
        for (let y = -99; y < 100; y += 6) {
          expect(feet.some((foot) => Math.abs(foot.x - x) <= 10.001 && Math.abs(foot.y - y) <= 10.001)).toBe(true);
        }
      }
    }
  });

  test("a part: the copies whose middle lies in it; another sheet or part fills anew", () => {
    const filled = (radius: number) =>
      feetOf(
        partOf(
          designWith({
            parts: [
              { id: "pool", role: "guide", motif: { kind: "disc", radius } },
              { id: "a", motif: { kind: "disc", radius: 2 }, rules: [{ kind: "grid", fill: "pool", pitch: 10 }] },
            ],
          }),
        ),
      );
    // Whole points within a circle of radius 4.05 and 5.05: 49 and 81 (Gauss's circle problem).
    expect(filled(40.5)).toHaveLength(49);
    expect(filled(50.5)).toHaveLength(81);
  });
});
