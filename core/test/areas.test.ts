import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { circleSegments } from "../src/geometry/arc";
import { areaWithin } from "../src/geometry/area";
import { heightsWithin } from "../src/geometry/heightsWithin";
import { areaOfPath, polygonOf, subpathOf, type Path } from "../src/geometry/path";
import { randomFrom } from "../src/geometry/random";
import { windingOf } from "../src/geometry/winding";
import { withinLimits } from "../src/join/joinLimits";
import { translation } from "../src";
import { transformPath } from "../src/geometry/path";
import { withGeometryEngine } from "./prepared";

beforeAll(withGeometryEngine);

const disc = (radius: number): Path => [subpathOf(circleSegments(radius), true)];
const coordinate = fc.double({ min: -60, max: 60, noNaN: true });

describe("an area asked about points", () => {
  const ring = areaWithin([...disc(40), ...backwards(disc(20))]);

  test("a ring holds what is between its two circles", () => {
    fc.assert(
      fc.property(coordinate, coordinate, (x, y) => {
        const away = Math.hypot(x, y);
        fc.pre(Math.abs(away - 40) > 0.02 && Math.abs(away - 20) > 0.02);
        expect(ring.contains({ x, y })).toBe(away < 40 && away > 20);
      }),
    );
  });

  test("by the nonzero rule a circle inside another, run the same way, is no hole", () => {
    expect(areaWithin([...disc(40), ...disc(20)]).contains({ x: 1, y: 1 })).toBe(true);
  });

  test("a box its boundary does not pass through lies wholly on one side", () => {
    fc.assert(
      fc.property(coordinate, coordinate, fc.double({ min: 0.1, max: 15, noNaN: true }), (left, top, side) => {
        const box = { left, top, right: left + side, bottom: top + side };
        const places = [0, 0.25, 0.5, 0.75, 1].flatMap((u) =>
          [0, 0.25, 0.5, 0.75, 1].map((v) => ring.contains({ x: left + u * side, y: top + v * side })),
        );
        if (!ring.bounds(box)) expect(new Set(places).size).toBe(1);
        if (new Set(places).size > 1) expect(ring.bounds(box)).toBe(true);
      }),
    );
  });

  test("an open run counts as closed by a straight line", () => {
    const angle: Path = [{ closed: false, coordinates: [0, 0, 0, 0, 10, 0, 10, 0, 10, 0, 10, 10, 10, 10] }];
    expect(areaWithin(angle).contains({ x: 7, y: 3 })).toBe(true);
    expect(areaWithin(angle).contains({ x: 3, y: 7 })).toBe(false);
  });
});

describe("what stays of an outline within its limits", () => {
  const kept = areaWithin(disc(50));
  const taken = areaWithin(disc(20));
  const at = (x: number, radius: number) => transformPath(disc(radius), translation(x, 0));

  test("one that no limit divides stays the very same object; one wholly outside goes", () => {
    const inside = at(35, 5);
    expect(withinLimits(inside, { taken, kept })).toBe(inside);
    expect(withinLimits(at(0, 5), { taken, kept })).toEqual([]);
    expect(withinLimits(at(80, 5), { taken, kept })).toEqual([]);
    expect(withinLimits(inside, { taken: null, kept: null })).toBe(inside);
    expect(withinLimits([], { taken, kept })).toEqual([]);
  });

  test("one across an edge is divided: the two sides' areas add up to the whole's", () => {
    const across = at(50, 10);
    const [within, beyond] = [
      withinLimits(across, { taken: null, kept }),
      withinLimits(across, { taken: kept, kept: null }),
    ].map((path) => Math.abs(areaOfPath(path)));
    expect((within ?? 0) + (beyond ?? 0)).toBeCloseTo(Math.PI * 100, 2);
    // Two circles of radii 10 and 50 whose centres are 50 apart.
    expect(within).toBeCloseTo(lens(10, 50, 50), 2);
  });

  test("a line is cut as a line", () => {
    const line: Path = [{ closed: false, coordinates: [-80, 0, -80, 0, 80, 0, 80, 0] }];
    const pieces = withinLimits(line, { taken, kept });
    expect(pieces).toHaveLength(2);
    expect(pieces.map(({ closed }) => closed)).toEqual([false, false]);
    const ends = pieces.flatMap(({ coordinates }) => [coordinates[0] ?? 0, coordinates.at(-2) ?? 0]);
    [-50, -20, 20, 50].forEach((x, index) => expect(ends[index]).toBeCloseTo(x, 3));
  });
});

describe("small tools", () => {
  test("a boundary's winding counts how often, and which way, it goes round", () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ];
    const round = corners.map((from, k) => [from, corners[(k + 1) % 4] ?? from] as const);
    expect(windingOf(round, { x: 5, y: 5 })).toBe(1);
    expect(windingOf([...round, ...round], { x: 5, y: 5 })).toBe(2);
    expect(
      windingOf(
        round.map(([a, b]) => [b, a] as const),
        { x: 5, y: 5 },
      ),
    ).toBe(-1);
    expect(windingOf(round, { x: 15, y: 5 })).toBe(0);
  });

  test("the heights of an edge between two upright lines are those of all its points there", () => {
    fc.assert(
      fc.property(coordinate, coordinate, coordinate, coordinate, coordinate, coordinate, (ax, ay, bx, by, p, q) => {
        const [left, right] = [Math.min(p, q), Math.max(p, q)];
        const [low, high] = heightsWithin(ax, ay, bx, by, left, right);
        // On a steep edge a place's last digit is many digits of its height.
        const near =
          1e-9 + (ax === bx ? 0 : 1e-13 * Math.abs((by - ay) / (bx - ax)) * Math.max(1, Math.abs(ax), Math.abs(bx)));
        for (let k = 0; k <= 20; k++) {
          const [x, y] = [ax + ((bx - ax) * k) / 20, ay + ((by - ay) * k) / 20];
          if (x < left || x > right) continue;
          expect(y).toBeGreaterThanOrEqual(low - near);
          expect(y).toBeLessThanOrEqual(high + near);
        }
        expect(low).toBeGreaterThanOrEqual(Math.min(ay, by) - 1e-9);
        expect(high).toBeLessThanOrEqual(Math.max(ay, by) + 1e-9);
      }),
    );
  });

  test("seeded numbers are the same for the same seed, others for another, and even over 0…1", () => {
    const of = (seed: number, count: number) => {
      const next = randomFrom(seed);
      return Array.from({ length: count }, () => next());
    };
    expect(of(7, 5)).toEqual(of(7, 5));
    expect(of(7, 5)).not.toEqual(of(8, 5));
    const bins = new Array<number>(20).fill(0);
    const values = of(1, 20_000);
    expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
    for (const value of values) {
      const bin = Math.floor(value * 20);
      bins[bin] = (bins[bin] ?? 0) + 1;
    }
    // Chi square with 19 degrees of freedom: above 43.8 once in a thousand seeds.
    expect(bins.reduce((sum, count) => sum + (count - 1_000) ** 2 / 1_000, 0)).toBeLessThan(43.8);
  });

  test("a polygon's corners run as they are given", () => {
    const path = [
      polygonOf([
        { x: 0, y: 0 },
        { x: 4, y: 0 },
        { x: 4, y: 3 },
      ]),
    ];
    expect(Math.abs(areaOfPath(path))).toBe(6);
  });
});

/** The area two circles have in common, from the two circular segments it is made of. */
function lens(r: number, R: number, d: number): number {
  const a = (d * d + r * r - R * R) / (2 * d);
  const segment = (radius: number, away: number) =>
    radius ** 2 * Math.acos(away / radius) - away * Math.sqrt(radius ** 2 - away ** 2);
  return segment(r, a) + segment(R, d - a);
}

function backwards(path: Path): Path {
  return path.map(({ closed, coordinates }) => {
    const points = Array.from({ length: coordinates.length / 2 }, (_, k) => coordinates.slice(2 * k, 2 * k + 2));
    return { closed, coordinates: points.reverse().flat() };
  });
}
