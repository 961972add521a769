import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { circleSegments } from "../src/geometry/arc";
import {
  atEvenPace,
  curvatureAt,
  derivativeAt,
  extentOf,
  isStraight,
  pieceOf,
  pointAt,
  straight,
  tangentAt,
  turningPoints,
  type Cubic,
} from "../src/geometry/cubic";
import { chordsNeeded } from "../src/geometry/flatten";
import { distanceToChord } from "../src/geometry/chordDistance";
import { meet, nearestParameter } from "../src/geometry/boolean/meet";
import { members } from "./randomMembers";

const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const cubic = fc.tuple(point, point, point, point);
const share = fc.double({ min: 0, max: 1, noNaN: true });

/** A curve from (0, 0) to (3, 0) whose points are x = 3t, y = 9t(1 − t). */
const ARCH: Cubic = [
  { x: 0, y: 0 },
  { x: 1, y: 3 },
  { x: 2, y: 3 },
  { x: 3, y: 0 },
];

describe("one cubic segment", () => {
  test("points, derivatives, tangents and curvature of a parabola", () => {
    expect(pointAt(ARCH, 0.5)).toEqual({ x: 1.5, y: 2.25 });
    expect(derivativeAt(ARCH, 0)).toEqual({ x: 3, y: 9 });
    expect(derivativeAt(ARCH, 0.5)).toEqual({ x: 3, y: 0 });
    const top = tangentAt(ARCH, 0.5);
    expect([top.x, top.y]).toEqual([1, 0]);
    // y = 3x − x² has y'' = −2 and is level at its top: a circle of radius a half.
    expect(curvatureAt(ARCH, 0.5)).toBeCloseTo(-2, 12);
  });

  test("a circle is as bent everywhere as its radius says, clockwise on the sheet", () => {
    for (const segment of circleSegments(20)) {
      for (const t of [0, 0.3, 0.5, 1]) expect(Math.abs(curvatureAt(segment, t))).toBeCloseTo(1 / 20, 3);
    }
  });

  test("a straight one is not bent, and is travelled at an even pace when asked", () => {
    const line = straight({ x: 0, y: 0 }, { x: 30, y: 60 });
    expect(isStraight(line)).toBe(true);
    expect(isStraight(ARCH)).toBe(false);
    expect(curvatureAt(line, 0.3)).toBe(0);
    expect(pointAt(atEvenPace(line), 0.2).x).toBeCloseTo(6, 12);
    // Its handles rest on its ends: it sets out slowly.
    expect(pointAt(line, 0.2).x).toBeLessThan(6);
  });

  test("where it stands still its chord says the way", () => {
    const still = straight({ x: 0, y: 0 }, { x: 3, y: 4 });
    expect(tangentAt(still, 0)).toEqual({ x: 0.6, y: 0.8 });
    expect(tangentAt(straight({ x: 1, y: 1 }, { x: 1, y: 1 }), 0)).toEqual({ x: 0, y: 0 });
  });

  test("a piece is the same curve between two parameters, backwards too", () => {
    fc.assert(
      fc.property(cubic, share, share, share, (whole, from, to, t) => {
        const piece = pieceOf(whole, from, to);
        const [there, here] = [pointAt(whole, from + (to - from) * t), pointAt(piece, t)];
        if (isStraight(whole)) return;
        expect(here.x).toBeCloseTo(there.x, 9);
        expect(here.y).toBeCloseTo(there.y, 9);
      }),
    );
  });

  test("its extent is just what its points reach", () => {
    fc.assert(
      fc.property(cubic, (whole) => {
        const [least, greatest] = extentOf(whole[0].x, whole[1].x, whole[2].x, whole[3].x);
        const reached = Array.from({ length: 401 }, (_, k) => pointAt(whole, k / 400).x);
        expect(Math.min(...reached)).toBeGreaterThanOrEqual(least - 1e-9);
        expect(Math.max(...reached)).toBeLessThanOrEqual(greatest + 1e-9);
        // At a turning point the derivative vanishes: samples 1/400 apart miss it by its square only.
        expect(Math.min(...reached) - least).toBeLessThan(0.02);
        expect(greatest - Math.max(...reached)).toBeLessThan(0.02);
      }),
    );
  });

  test("turning points lose no digits where the cubic term all but vanishes", () => {
    expect(turningPoints(0, 3, 3, 0)).toEqual([0.5]);
    const [nearly] = turningPoints(0, 3, 3, 1e-13);
    expect(nearly).toBeCloseTo(0.5, 12);
    expect(turningPoints(0, 1, 2, 3)).toEqual([]);
  });

  test("flattened into the chords it needs, it leaves none by more than the tolerance", () => {
    fc.assert(
      fc.property(cubic, fc.constantFrom(0.5, 0.05, 0.005), (whole, tolerance) => {
        const chords = chordsNeeded(whole, tolerance);
        fc.pre(chords < 2_000);
        for (let k = 0; k < chords; k++) {
          const [start, end] = [pointAt(whole, k / chords), pointAt(whole, (k + 1) / chords)];
          for (const t of [0.25, 0.5, 0.75]) {
            const off = distanceToChord(pointAt(whole, (k + t) / chords), start, end);
            expect(off).toBeLessThanOrEqual(tolerance * 1.0001 + 1e-9);
          }
        }
      }),
      { numRuns: members(30) },
    );
  });
});

describe("two curves", () => {
  const level = atEvenPace(straight({ x: -1, y: 2 }, { x: 4, y: 2 }));

  test("cross where Newton's method says: 3x − x² = 2 at 1 and 2", () => {
    const first = meet(ARCH, 0.2, level, 0.3);
    expect(first?.point.x).toBeCloseTo(1, 9);
    expect(first?.t).toBeCloseTo(1 / 3, 9);
    expect(first?.u).toBeCloseTo(2 / 5, 9);
    expect(meet(ARCH, 0.8, level, 0.7)?.point.x).toBeCloseTo(2, 9);
  });

  test("that do not reach each other have no crossing, nor have two that run side by side", () => {
    const above = atEvenPace(straight({ x: -1, y: 5 }, { x: 4, y: 5 }));
    expect(meet(ARCH, 0.5, above, 0.5)).toBeNull();
    expect(meet(level, 0.5, above, 0.5)).toBeNull();
  });

  test("the parameter nearest a point is where the way there is square to the curve", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        (t, off) => {
          const [on, way] = [pointAt(ARCH, t), tangentAt(ARCH, t)];
          const beside = { x: on.x - way.y * off, y: on.y + way.x * off };
          expect(nearestParameter(ARCH, beside, t + 0.01)).toBeCloseTo(t, 6);
        },
      ),
    );
  });
});
