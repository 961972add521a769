import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { fitLoop } from "../src/geometry/offset/fitLoop";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { segmentsOf } from "../src/geometry/path";
import type { Point } from "../src";

const TOLERANCE = 0.005;

function fitted(points: readonly Point[]) {
  return fitLoop(
    points.map(({ x }) => x),
    points.map(({ y }) => y),
    TOLERANCE,
  );
}

/** How far a point is from a closed line of points. */
function distanceTo(points: readonly Point[], point: Point): number {
  return points.reduce(
    (least, from, k) => Math.min(least, distanceToChord(point, from, points[(k + 1) % points.length] ?? from)),
    Infinity,
  );
}

const round = (count: number, radius: (angle: number) => number): Point[] =>
  Array.from({ length: count }, (_, k) => {
    const angle = (2 * Math.PI * k) / count;
    return { x: radius(angle) * Math.cos(angle), y: radius(angle) * Math.sin(angle) };
  });

describe("a polygon given its curves", () => {
  test("a round one of 720 corners becomes a few dozen curves, none of which leaves it", () => {
    const points = round(720, () => 30);
    const loop = fitted(points);
    expect(loop.closed).toBe(true);
    expect(segmentsOf(loop).length).toBeLessThan(40);
    for (const { x, y } of flattenPath([loop], 1e-4).flat()) {
      expect(Math.abs(Math.hypot(x, y) - 30)).toBeLessThan(2 * TOLERANCE);
    }
  });

  test("waving ones of any number of waves: every corner stays within the tolerance of the curves", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 16 }), fc.double({ min: 0, max: 4, noNaN: true }), (waves, height) => {
        const points = round(900, (angle) => 40 + height * Math.sin(waves * angle));
        const loop = fitted(points);
        const drawn = flattenPath([loop], 1e-4).flat();
        points.forEach((point, k) => {
          if (k % 7 === 0) expect(distanceTo(drawn, point)).toBeLessThan(TOLERANCE + 1e-3);
        });
      }),
      { numRuns: 8 },
    );
  });

  test("corners stay corners: a square keeps its four, whatever stands between them", () => {
    const side = (from: Point, to: Point) =>
      Array.from({ length: 50 }, (_, k) => ({
        x: from.x + ((to.x - from.x) * k) / 50,
        y: from.y + ((to.y - from.y) * k) / 50,
      }));
    const corners = [
      { x: -10, y: -10 },
      { x: 10, y: -10 },
      { x: 10, y: 10 },
      { x: -10, y: 10 },
    ];
    const loop = fitted(corners.flatMap((corner, k) => side(corner, corners[(k + 1) % 4] ?? corner)));
    const ends = segmentsOf(loop).map(([, , , end]) => end);
    for (const corner of corners)
      expect(Math.min(...ends.map((end) => Math.hypot(end.x - corner.x, end.y - corner.y)))).toBeLessThan(1e-9);
    for (const point of flattenPath([loop], 1e-3).flat()) {
      expect(Math.max(Math.abs(point.x), Math.abs(point.y))).toBeCloseTo(10, 6);
    }
  });

  test("a triangle is three straight curves", () => {
    const loop = fitted([
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 0, y: 10 },
    ]);
    expect(segmentsOf(loop)).toHaveLength(3);
    expect(loop.coordinates.slice(0, 2)).toEqual(loop.coordinates.slice(-2));
  });
});
