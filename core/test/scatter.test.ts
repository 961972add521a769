import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { sizeOf } from "../src";
import { designWith, partDesign } from "./testDesign";
import { feetOf, matricesOf, partOf } from "./scenes";
import { members } from "./randomMembers";

const scatter = (more: object) => [{ kind: "scatter", ...more }];
const DOT = { kind: "disc", radius: 1 };

function leastDistance(feet: readonly { x: number; y: number }[]): number {
  let least = Infinity;
  feet.forEach((p, i) => {
    for (const q of feet.slice(i + 1)) least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y));
  });
  return least;
}

describe("scatter", () => {
  test("so many, at least the gap apart, on the sheet, the same for the same seed and others for another", () => {
    const at = (seed: number) => feetOf(partOf(partDesign(DOT, scatter({ count: 300, gap: 6, seed }))));
    const feet = at(1);
    expect(feet).toHaveLength(300);
    expect(leastDistance(feet)).toBeGreaterThanOrEqual(6);
    expect(feet.every(({ x, y }) => Math.abs(x) <= 100 && Math.abs(y) <= 100)).toBe(true);
    expect(at(1)).toEqual(feet);
    expect(at(2)).not.toEqual(feet);
  });

  test("few of many spread over the whole region, not over a corner of it", () => {
    const feet = feetOf(partOf(partDesign(DOT, scatter({ count: 40, gap: 1 }))));
    const quarters = [0, 1, 2, 3].map((k) => feet.filter(({ x, y }) => (x > 0 ? 1 : 0) + (y > 0 ? 2 : 0) === k).length);
    for (const count of quarters) expect(count).toBeGreaterThan(2);
  });

  test("where there is no more room it says so, and what there is covers the region", () => {
    const part = partOf(partDesign(DOT, scatter({ count: 5_000, gap: 10 })));
    const feet = feetOf(part);
    expect(part.geometry.notes.join()).toContain(`room for ${feet.length} of 5,000`);
    // A random packing with no more room holds about 0.7 points in a square of the gap's side.
    const share = (feet.length * 100) / 200 ** 2;
    expect(share).toBeGreaterThan(0.66);
    expect(share).toBeLessThan(0.8);
  });

  test("inside a part's area, and outside others'", () => {
    const design = designWith({
      parts: [
        { id: "pool", role: "guide", motif: { kind: "ring", outer: 60, inner: 30 }, at: { x: 10 } },
        { id: "steps", role: "guide", motif: { kind: "rectangle", width: 30, height: 200, at: { y: 100 } } },
        { id: "a", motif: DOT, rules: scatter({ region: "pool", avoid: ["steps"], count: 120, gap: 3 }) },
      ],
    });
    const feet = feetOf(partOf(design));
    expect(feet.length).toBeGreaterThan(60);
    for (const { x, y } of feet) {
      const radius = Math.hypot(x - 10, y);
      expect(radius).toBeGreaterThan(29.98);
      expect(radius).toBeLessThan(60.02);
      expect(Math.abs(x)).toBeGreaterThan(14.99);
    }
  });

  test("turn and size fall within their ranges", () => {
    const matrices = matricesOf(
      partOf(partDesign(DOT, scatter({ count: 200, gap: 2, turn: [-30, 30], size: [0.5, 2] }))),
    );
    const turns = matrices.map(([a, b]) => (Math.atan2(b, a) * 180) / Math.PI);
    const sizes = matrices.map(([a, b]) => Math.hypot(a, b));
    expect(Math.min(...turns)).toBeGreaterThanOrEqual(-30.001);
    expect(Math.max(...turns)).toBeLessThanOrEqual(30.001);
    expect(Math.max(...turns) - Math.min(...turns)).toBeGreaterThan(50);
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(0.5);
    expect(Math.max(...sizes)).toBeGreaterThan(1.8);
  });

  test("whole copies keep off all that is painted, line widths and dots included, and stay within the sheet", () => {
    const widths = fc.integer({ min: 0, max: 8 });
    const dressed = fc.record({ line: widths, own: widths, filled: fc.boolean(), dots: fc.boolean(), seed: widths });
    fc.assert(
      fc.property(dressed, ({ line, own, filled, dots, seed }) => {
        const [radius, accent] = [20, 3];
        const lineOf = (width: number, more: object = {}) => (width > 0 ? { width, paint: "#2B2140", ...more } : null);
        const finish = { fill: filled ? "#C8442B" : null, line: lineOf(line, dots ? { dots: { gap: 0 } } : {}) };
        const whole = { avoid: ["rings"], keeping: "whole", within: "whole", size: [0.5, 2] };
        const design = designWith({
          parts: [
            { id: "rings", motif: { kind: "disc", radius }, rules: [{ kind: "ring", count: 5, radius: 60 }], finish },
            {
              id: "a",
              motif: { kind: "disc", radius: accent },
              rules: scatter({ ...whole, count: 200, gap: 4, seed }),
              finish: { line: lineOf(own) },
            },
          ],
        });
        const rings = feetOf(partOf(design, "rings"));
        const accents = matricesOf(partOf(design));
        expect(accents.length).toBeGreaterThan(30);
        for (const matrix of accents) {
          const [x, y, reach] = [matrix[4], matrix[5], (accent + own / 2) * sizeOf(matrix)];
          expect(Math.max(Math.abs(x), Math.abs(y)) + reach).toBeLessThan(100.01);
          for (const ring of rings) {
            const far = Math.hypot(x - ring.x, y - ring.y);
            // A small one may nestle between two dots, but not beyond the outline they stand on.
            const band = dots ? 0 : line / 2;
            const isOutside = far > radius + band + reach - 0.05;
            const isInside = !filled && far + reach < radius - band + 0.05;
            expect(isOutside || isInside || (!filled && line === 0)).toBe(true);
          }
        }
      }),
      { numRuns: members(6) },
    );
  });
});
