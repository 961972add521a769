import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { GUIDE, polar, rotation, translation, multiply, type PlacedMark } from "@twin-petal/core";
import { snap, type SnapTargets } from "@/desk/stage/snap/snap";
import { carriedTargets, guideTargets, lineAt, markTargets, sheetTargets } from "@/desk/stage/snap/targets";

const NOTHING: SnapTargets = { points: [], lines: [] };
const SHEET = { width: 200, height: 100, margin: 0, ground: null, grain: null };

const BOX = { left: -1, top: -1, right: 1, bottom: 1 };

describe("drawing the hand to what is near", () => {
  test("a point goes before a line, a crossing before a single line, a line before the grid", () => {
    const upright = lineAt({ x: 10, y: 0 }, 0, "upright");
    const level = lineAt({ x: 0, y: 5 }, 90, "level");
    const point = { at: { x: 11, y: 6 }, words: "node" };
    const hand = { x: 10.6, y: 5.5 };
    expect(snap(hand, { points: [point], lines: [upright, level] }, 1)).toEqual({ point: point.at, words: "node" });
    expect(snap(hand, { points: [], lines: [upright, level] }, 1)).toEqual({
      point: { x: expect.closeTo(10, 9), y: expect.closeTo(5, 9) },
      words: "upright × level",
    });
    expect(snap({ x: 10.6, y: 40 }, { points: [], lines: [upright, level] }, 1)).toEqual({
      point: { x: expect.closeTo(10, 9), y: expect.closeTo(40, 9) },
      words: "upright",
    });
    expect(snap({ x: 3.2, y: 40.1 }, { ...NOTHING, grid: 1 }, 1)).toEqual({ point: { x: 3, y: 40 }, words: "grid" });
  });

  test("nothing near leaves the hand where it is; the nearest of several wins", () => {
    const points = [
      { at: { x: 0, y: 0 }, words: "far" },
      { at: { x: 2, y: 0 }, words: "near" },
    ];
    expect(snap({ x: 30, y: 30 }, { points, lines: [] }, 5)).toEqual({ point: { x: 30, y: 30 }, words: null });
    expect(snap({ x: 1.6, y: 0 }, { points, lines: [] }, 5).words).toBe("near");
  });

  test("the point drawn to is never farther than the distance, and edges end where they end", () => {
    const { lines } = sheetTargets(SHEET);
    const coordinate = fc.double({ min: -150, max: 150, noNaN: true });
    fc.assert(
      fc.property(coordinate, coordinate, fc.double({ min: 0.1, max: 10, noNaN: true }), (x, y, within) => {
        const { point } = snap({ x, y }, { points: [], lines }, within);
        return Math.hypot(point.x - x, point.y - y) <= within + 1e-9;
      }),
    );
    expect(snap({ x: 120, y: 50 }, { points: [], lines }, 5).words).toBeNull();
  });
});

describe("what draws the hand", () => {
  test("the sheet: its centre, corners, middles and edges", () => {
    const { points, lines } = sheetTargets(SHEET);
    expect(points.map(({ words }) => words)).toEqual([
      "sheet’s centre",
      ...Array<string>(4).fill("sheet’s corner"),
      ...Array<string>(4).fill("middle of the sheet’s edge"),
    ]);
    expect(lines).toHaveLength(4);
    expect(points[5]?.at).toEqual({ x: 0, y: -50 });
  });

  test("guides: lines by angle, a star's points, inner corners and middles, a polygon's", () => {
    const { points, lines } = guideTargets([
      GUIDE.angle.shape({ angle: 45, through: { x: 3, y: 0 } }),
      GUIDE.star.shape({ star: { points: 5, outer: 40, inner: 16, start: 0 } }),
      GUIDE.polygon.shape({ polygon: { sides: 6, radius: 30, start: 15 } }),
    ]);
    const of = (words: string) => points.filter((point) => point.words === words).map(({ at }) => at);
    expect(of("star’s point")[0]).toEqual({ x: 0, y: -40 });
    expect(of("star’s point")).toHaveLength(5);
    expect(of("star’s inner corner")).toHaveLength(5);
    expect(of("polygon’s corner")[0]?.x).toBeCloseTo(polar(30, 15).x, 12);
    expect(of("middle of the polygon’s side")).toHaveLength(6);
    expect(lines).toHaveLength(1 + 10 + 6);
    const onLine = snap({ x: 13, y: -9 }, { points: [], lines: lines.slice(0, 1) }, 3).point;
    expect(onLine.x - 3).toBeCloseTo(-onLine.y, 9);
  });

  test("rules: pivots, mirror lines and the wedge, where the part's own place puts them", () => {
    const toSheet = multiply(translation(20, 0), rotation(90));
    const marks: PlacedMark[] = [
      { rule: 0, toSheet, mark: { kind: "mirror", through: { x: 0, y: 0 }, angle: 0 } },
      { rule: 1, toSheet, mark: { kind: "wedge", pivot: { x: 0, y: 0 }, from: -20, to: 20 } },
      { rule: 1, toSheet, mark: { kind: "pivot", field: "pivot", at: { x: 0, y: -5 }, box: BOX } },
    ];
    const targets = markTargets(marks);
    expect(targets.points[0]?.at.x).toBeCloseTo(25, 12);
    expect(targets.lines.map(({ words }) => words)).toEqual(["mirror line", "wedge line", "wedge line"]);
    // The upright mirror lies level on the sheet.
    expect(snap({ x: 60, y: 1 }, { points: [], lines: targets.lines.slice(0, 1) }, 2).point.y).toBeCloseTo(0, 9);
  });

  test("targets carried to another space draw there as they do here", () => {
    const by = multiply(translation(7, -3), multiply(rotation(30), [2, 0, 0, 2, 0, 0]));
    const here = sheetTargets(SHEET);
    const there = carriedTargets(here, by);
    const [a, b, c, d, e, f] = by;
    const map = ({ x, y }: { x: number; y: number }) => ({ x: a * x + c * y + e, y: b * x + d * y + f });
    const hand = { x: 99.5, y: 20 };
    const [mine, carried] = [snap(hand, here, 2), snap(map(hand), there, 4)];
    expect(carried.words).toBe(mine.words);
    expect(carried.point.x).toBeCloseTo(map(mine.point).x, 9);
    expect(carried.point.y).toBeCloseTo(map(mine.point).y, 9);
  });
});
