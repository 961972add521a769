import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { arcsOf } from "../src";
import { arcSegments } from "../src/geometry/arc";
import { pieceOf, pointAt, type Cubic } from "../src/geometry/cubic";
import { members } from "./randomMembers";

const radiusAt = (centre: { x: number; y: number }, { x, y }: { x: number; y: number }) =>
  Math.hypot(x - centre.x, y - centre.y);

/** A curve in pieces whose inner places are moved by a little, as fitted curves are. */
function shaken(curve: readonly Cubic[], pieces: number, by: readonly number[]): Cubic[] {
  const all = curve.flatMap((cubic) =>
    Array.from({ length: pieces }, (_, k) => pieceOf(cubic, k / pieces, (k + 1) / pieces)),
  );
  const moved = all.map(([a], k) => ({ x: a.x + (by[k % by.length] ?? 0), y: a.y + (by[(k + 1) % by.length] ?? 0) }));
  return all.map(([a, b, c, d], k): Cubic => [moved[k] ?? a, b, c, moved[k + 1] ?? d]);
}

describe("arcs that stand for curves", () => {
  test("have one radius from their beginning to their end, and stay by their curves", () => {
    const noise = fc.array(fc.double({ min: -6e-4, max: 6e-4, noNaN: true }), { minLength: 3, maxLength: 7 });
    const angle = fc.integer({ min: -360, max: 360 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        angle,
        angle,
        fc.integer({ min: 1, max: 6 }),
        noise,
        (radius, from, to, pieces, by) => {
          fc.pre(Math.abs(to - from) > 5 && Math.abs(to - from) < 720);
          const curve = shaken(arcSegments(radius, from, to, { x: 3, y: -7 }), pieces, by);
          const within = 0.009;
          let start = curve[0]?.[0] ?? { x: 0, y: 0 };
          const found = arcsOf(curve, within).map((move) => {
            const one = { start, ...move };
            start = move.to;
            return one;
          });
          for (const move of found) {
            if (!move.centre) continue;
            expect(Math.abs(radiusAt(move.centre, move.start) - radiusAt(move.centre, move.to))).toBeLessThan(1e-6);
          }
          for (const place of curve.flatMap((cubic) => [0.2, 0.5, 0.8].map((t) => pointAt(cubic, t)))) {
            const off = found.map(({ centre, start: a, to: b }) =>
              centre ? Math.abs(radiusAt(centre, place) - radiusAt(centre, a)) : offLine(place, a, b),
            );
            expect(Math.min(...off)).toBeLessThan(0.01 + 0.003);
          }
        },
      ),
      { numRuns: members(40) },
    );
  });
});

function offLine(p: { x: number; y: number }, a: { x: number; y: number }, b: { x: number; y: number }): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const share = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p.x - a.x - share * dx, p.y - a.y - share * dy);
}
