import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { boxOfPath, buildScene, fitStroke, segmentsOfRun, steadied, type Point, type StrokeValue } from "../src";
import { farthestOff } from "../src/motif/freehand/fitStroke";
import { partDesign } from "./testDesign";
import { members } from "./randomMembers";

/** A hand's stroke: an arc with a tremble of its own. */
function trembling(amplitude: number, count = 120): StrokeValue {
  return Array.from({ length: count }, (_, k): [number, number, number] => {
    const t = k / (count - 1);
    return [60 * t - 30, -20 * Math.sin(Math.PI * t) + amplitude * Math.sin(k * 2.1), 0.5];
  });
}

/** How much a line bends to and fro: the sum of its turns. */
function restlessness(points: readonly Point[]): number {
  let sum = 0;
  for (let k = 2; k < points.length; k++) {
    const [a, b, c] = [points[k - 2], points[k - 1], points[k]];
    if (!a || !b || !c) continue;
    const [p, q] = [Math.atan2(b.y - a.y, b.x - a.x), Math.atan2(c.y - b.y, c.x - b.x)];
    sum += Math.abs(Math.atan2(Math.sin(q - p), Math.cos(q - p)));
  }
  return sum;
}

describe("freehand strokes", () => {
  test("not steadied keep every point; the more steadied, the calmer; ends stay", () => {
    const stroke = trembling(0.4);
    const calm = [0, 0.4, 0.8].map((steady) => restlessness(steadied(stroke, steady)));
    expect(calm[1]).toBeLessThan((calm[0] ?? 0) * 0.6);
    expect(calm[2]).toBeLessThan((calm[1] ?? 0) * 0.8);
    const still = steadied(stroke, 0);
    for (const [x, y] of stroke.slice(1, -1)) {
      expect(Math.min(...still.map((point) => Math.hypot(point.x - x, point.y - y)))).toBeLessThan(0.02);
    }
    const ends = steadied(stroke, 0.9);
    expect(ends[0]).toEqual({ x: stroke[0]?.[0], y: stroke[0]?.[1] });
    expect(ends.at(-1)).toEqual({ x: stroke.at(-1)?.[0], y: stroke.at(-1)?.[1] });
  });

  test("are as wide as they say at full pressure, thinner where pressed lightly, and taper", () => {
    const level = (pressure: number): StrokeValue =>
      Array.from({ length: 60 }, (_, k): [number, number, number] => [k, 0, pressure]);
    const height = (stroke: StrokeValue, more: object) => {
      const motif = { kind: "freehand", strokes: [stroke], steady: 0, width: 4, taper: 0, ...more };
      const { top, bottom } = boxOfPath(buildScene(partDesign(motif)).parts[0]?.geometry.path ?? []);
      return bottom - top;
    };
    expect(height(level(0.5), { pressing: 0 })).toBeCloseTo(4, 1);
    expect(height(level(0.1), { pressing: 0.8 })).toBeLessThan(height(level(0.9), { pressing: 0.8 }) * 0.6);
    const motif = { kind: "freehand", strokes: [level(0.5)], steady: 0, width: 4, pressing: 0, taper: 1 };
    const outline = buildScene(partDesign(motif)).parts[0]?.geometry.path[0]?.coordinates ?? [];
    const nearEnd = outline.flatMap((x, k) => (k % 2 === 0 && x > 57 ? [Math.abs(outline[k + 1] ?? 0)] : []));
    expect(Math.max(...nearEnd)).toBeLessThan(0.6);
  });

  test("one may have a width and a colour of its own", () => {
    const strokes = [trembling(0), trembling(0).map(([x, y, p]): [number, number, number] => [x, y + 30, p])];
    const motif = { kind: "freehand", strokes, styles: [null, { width: 9, color: "#C8442B" }], width: 2 };
    const pieces = buildScene(partDesign(motif)).parts[0]?.geometry.shapes[0]?.pieces ?? [];
    expect(pieces.map(({ fill }) => fill)).toEqual(["finish", { own: "#C8442B" }]);
    const heights = pieces.map(({ path }) => boxOfPath(path)).map(({ top, bottom }) => bottom - top);
    expect(heights[1]).toBeGreaterThan((heights[0] ?? 0) + 3);
  });

  test("become drawn runs of few nodes, no point farther off than the tolerance", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: -3, max: 3, noNaN: true })), {
          minLength: 3,
          maxLength: 60,
        }),
        fc.constantFrom(0.05, 0.1, 0.5),
        (moves, tolerance) => {
          const points: Point[] = [];
          let at = { x: 0, y: 0 };
          for (const [x, y] of moves) {
            at = { x: at.x + 2 + x / 3, y: at.y + y };
            points.push(at);
          }
          const run = fitStroke(points, tolerance);
          return run !== null && farthestOff(points, segmentsOfRun(run), tolerance) <= tolerance * 1.001;
        },
      ),
      { numRuns: members(60) },
    );
    const smooth = steadied(trembling(0), 0);
    const fitted = fitStroke(smooth, 0.1);
    expect(fitted?.nodes.length).toBeLessThan(8);
    expect(fitStroke([{ x: 1, y: 1 }], 0.1)).toBeNull();
  });
});
