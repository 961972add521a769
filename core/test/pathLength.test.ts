import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { measurePath, pathOfData } from "../src";
import { circleSegments } from "../src/geometry/arc";
import { pointAt, straight, type Cubic } from "../src/geometry/cubic";
import { evenlyAlong } from "../src/geometry/evenly";
import { polygonOf, subpathOf } from "../src/geometry/path";
import { members } from "./randomMembers";

describe("lengths along a run", () => {
  test("a circle is 2πr long, and a quarter of it is a quarter turn on", () => {
    const circle = measurePath(subpathOf(circleSegments(30), true));
    expect(circle.length).toBeCloseTo(60 * Math.PI, 3);
    const { point, tangent } = circle.at(circle.length / 4);
    expect(point.x).toBeCloseTo(30, 3);
    expect(point.y).toBeCloseTo(0, 3);
    expect(tangent.y).toBeCloseTo(1, 3);
  });

  test("a curve whose handle rests on its end: x = t², y = t³ is ((4 + 9t²)^1.5 − 8) / 27 long from 0 to t", () => {
    const size = 100;
    const at = (x: number, y: number) => ({ x: x * size, y: y * size });
    const run = measurePath(subpathOf([[at(0, 0), at(0, 0), at(1 / 3, 0), at(1, 1)]], false));
    const lengthTo = (t: number) => (size * ((4 + 9 * t * t) ** 1.5 - 8)) / 27;
    expect(Math.abs(run.length - lengthTo(1))).toBeLessThan(1e-6);
    for (const t of [0.001, 0.02, 0.3, 0.77]) {
      const { point } = run.at(lengthTo(t));
      expect(Math.abs(point.x - size * t * t)).toBeLessThan(1e-6);
      expect(Math.abs(point.y - size * t ** 3)).toBeLessThan(1e-6);
    }
  });

  test("a closed run goes round, an open one stays at its ends", () => {
    const square = polygonOf([
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ]);
    const round = measurePath(square);
    expect(round.length).toBe(40);
    expect(round.at(45).point).toEqual({ x: expect.closeTo(5, 9), y: 0 });
    expect(round.at(-5).point).toEqual({ x: 0, y: expect.closeTo(5, 9) });
    const open = measurePath({ ...square, closed: false });
    expect(open.at(-5).point.x).toBeCloseTo(0, 9);
    expect(open.at(99).point.y).toBeCloseTo(0, 9);
  });

  test("straight pieces are walked at an even pace, though their handles rest on their ends", () => {
    const line = measurePath(subpathOf([straight({ x: 0, y: 0 }, { x: 0, y: -80 })], false));
    for (const length of [0, 7, 20, 40, 63, 80]) expect(line.at(length).point.y).toBeCloseTo(-length, 9);
  });

  test("equal lengths along any curve are equal when measured finely", () => {
    const point = fc.record({
      x: fc.double({ min: -50, max: 50, noNaN: true }),
      y: fc.double({ min: -50, max: 50, noNaN: true }),
    });
    fc.assert(
      fc.property(point, point, point, point, (a, b, c, d) => {
        const curve: Cubic = [a, b, c, d];
        const fine = Array.from({ length: 4_001 }, (_, k) => pointAt(curve, k / 4_000));
        const length = fine
          .slice(1)
          .reduce((sum, p, k) => sum + Math.hypot(p.x - (fine[k]?.x ?? 0), p.y - (fine[k]?.y ?? 0)), 0);
        const measured = measurePath(subpathOf([curve], false));
        return Math.abs(measured.length - length) < 1e-3 * Math.max(1, length);
      }),
      { numRuns: members(60) },
    );
  });

  test("shares of a length by a speed: a parabola's arc is halved where it should be", () => {
    const speed = (t: number) => Math.sqrt(1 + 4 * t * t);
    const lengthTo = (t: number) => (t * Math.sqrt(1 + 4 * t * t)) / 2 + Math.asinh(2 * t) / 4;
    const half = evenlyAlong(speed, 0, 3)(0.5);
    expect(lengthTo(half)).toBeCloseTo(lengthTo(3) / 2, 9);
    expect(evenlyAlong(speed, 3, 0)(1)).toBeCloseTo(0, 9);
  });
});

describe("path data", () => {
  /** Where each run of a path ends. */
  const ends = (data: string) =>
    pathOfData(data).map(({ coordinates }) => coordinates.slice(-2).map((value) => Math.round(value * 1e6) / 1e6 + 0));

  test("every command says what it says: relative, smooth, quadratic, arcs", () => {
    expect(ends("M1 2h3v4l-1-1H9V8Z")).toEqual([[1, 2]]);
    expect(ends("m1 1q2 0 2 2t2 2")).toEqual([[5, 5]]);
    expect(ends("M0 0c1 0 2 1 2 2s1 2 2 2")).toEqual([[4, 4]]);
    expect(ends("M0 0A5 5 0 0 1 10 0")).toEqual([[10, 0]]);
    expect(ends("M0 0L1 1M5 5l1 0")).toEqual([
      [1, 1],
      [6, 5],
    ]);
    expect(pathOfData("")).toEqual([]);
  });

  test("what stands before a fault is kept, nothing but a fault is refused", () => {
    expect(ends("M0 0L4 4Lx")).toEqual([[4, 4]]);
    expect(() => pathOfData("hello")).toThrow(RangeError);
  });
});
