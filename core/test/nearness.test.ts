import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { countCoinciding, withoutCoinciding, type Matrix, type Point } from "../src";
import { straight } from "../src/geometry/cubic";
import { meanOf } from "../src/geometry/point";
import { polygonOf, subpathOf } from "../src/geometry/path";
import { meetingsOf } from "../src/join/weave/meetings";
import { strandsOf } from "../src/join/weave/strands";
import { packMatrices } from "../src/rules/pack";
import { sourcePlacement, type Placements } from "../src/rules/placements";
import { scatterPoints } from "../src/rules/scatterPoints";
import { randomFrom } from "../src/geometry/random";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

/** What is found by squares of the plane, beside what comparing everything with everything finds. */
const whole = (min: number, max: number) => fc.integer({ min, max });
const at = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];
const placed = (matrices: readonly Matrix[]): Placements => ({
  ...sourcePlacement([1, 0, 0, 1, 0, 0]),
  count: matrices.length,
  matrices: packMatrices(matrices.length, (copy) => matrices[copy] ?? at(0, 0)),
});
const wedge = [
  polygonOf([
    { x: 0, y: 0 },
    { x: 3, y: 1 },
    { x: 0, y: 5 },
  ]),
];
const square = [
  polygonOf([
    { x: -2, y: -2 },
    { x: 2, y: -2 },
    { x: 2, y: 2 },
    { x: -2, y: 2 },
  ]),
];

describe("copies that only repeat another", () => {
  test("as many are left as there are places, each the first that came, however they are thrown together", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(whole(-9, 9), whole(-9, 9)), { minLength: 1, maxLength: 80 }), (places) => {
        // Some a hair beside where they should be, across the edges of squares too.
        const matrices = places.map(([x, y], copy) => at(x + (copy % 3) * 1e-7 - 1e-7, y - (copy % 2) * 1e-7));
        const distinct = new Set(places.map(String)).size;
        const placements = placed(matrices);
        expect(countCoinciding([{ path: wedge, pieces: null }], placements)).toBe(places.length - distinct);
        const left = withoutCoinciding([{ path: wedge, pieces: null }], placements);
        expect(left.count).toBe(distinct);
        const firsts = places.flatMap((place, copy) =>
          places.findIndex((other) => String(other) === String(place)) === copy ? [matrices[copy]?.[4]] : [],
        );
        expect(Array.from({ length: left.count }, (_, copy) => left.matrices[copy * 6 + 4])).toEqual(firsts);
      }),
    );
  });

  test("a quarter turn repeats a square, not a wedge; other shapes at the same place are no repeats", () => {
    const turned = placed([at(5, 5), [0, 1, -1, 0, 5, 5]]);
    expect(countCoinciding([{ path: square, pieces: null }], turned)).toBe(1);
    expect(countCoinciding([{ path: wedge, pieces: null }], turned)).toBe(0);
    const shapes = [square, square].map((path) => ({ path, pieces: null }));
    const two = { ...placed([at(5, 5), at(5, 5)]), shapeOf: Uint32Array.from([0, 1]) };
    expect(countCoinciding(shapes, two)).toBe(0);
  });
});

describe("places where strands cross", () => {
  /** Whether two stretches cross in their middles, by which side of one the ends of the other lie. */
  function cross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
    const side = (p: Point, q: Point, r: Point) => Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
    return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
  }

  test("straight strands cross where comparing every two says so", () => {
    // Thousandths keep three from one point, and ends from lying on lines.
    const point = fc
      .tuple(whole(-40_000, 40_000), whole(-40_000, 40_000))
      .map(([x, y]) => ({ x: x / 997, y: y / 991 }));
    fc.assert(
      fc.property(fc.array(fc.tuple(point, point), { minLength: 2, maxLength: 24 }), (lines) => {
        fc.pre(lines.every(([a, b]) => Math.hypot(a.x - b.x, a.y - b.y) > 1));
        const shapes = lines.map(([a, b]) => ({ path: [subpathOf([straight(a, b)], false)], pieces: null }));
        const placements = { ...placed(lines.map(() => at(0, 0))), shapeOf: Uint32Array.from(lines.keys()) };
        const ends = { cap: "butt", join: "miter", swell: [] } as const;
        const strands = strandsOf({ shapes, placements }, { width: 0.2, swell: [], widths: "copies" });
        const found = meetingsOf(strands, ends, 0).filter(({ crossings }) => crossings > 0);
        const wanted = lines.flatMap((own, i) =>
          lines.flatMap((other, j) => (j > i && cross(own, other) ? [`${i} ${j}`] : [])),
        );
        const named = new Set(found.map(({ strands }) => strands.join(" ")));
        expect(wanted.filter((name) => !named.has(name))).toEqual([]);
        for (const {
          point: { x, y },
          strands,
        } of found) {
          for (const strand of strands) {
            const [a, b] = lines[strand] ?? [];
            if (!a || !b) throw new Error("no such strand");
            const off = ((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / Math.hypot(b.x - a.x, b.y - a.y);
            expect(Math.abs(off)).toBeLessThan(1e-6);
          }
        }
        expect(named.size).toBe(found.length);
      }),
      { numRuns: members(40) },
    );
  });
});

describe("scattered points", () => {
  test("no two are nearer than the gap, and all lie in the box, whatever its place and size", () => {
    fc.assert(
      fc.property(
        whole(-300, 300),
        whole(-300, 300),
        whole(1, 90),
        whole(1, 90),
        whole(1, 12),
        whole(0, 9),
        (...numbers) => {
          const [left, top, width, height, gap, seed] = numbers;
          const box = { left, top, right: left + width, bottom: top + height };
          const points = scatterPoints({ box, gap, count: 200, random: randomFrom(seed), allows: () => true });
          const isIn = ({ x, y }: Point) => x >= left && x <= box.right && y >= top && y <= box.bottom;
          expect(points.filter((point) => !isIn(point))).toEqual([]);
          const tooNear = points.filter(({ x, y }, index) =>
            points.some((other, k) => k < index && (other.x - x) ** 2 + (other.y - y) ** 2 < (gap - 1e-9) ** 2),
          );
          expect(tooNear).toEqual([]);
          expect(points.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: members(40) },
    );
  });
});

test("the mean of points moves with them, and lies among them", () => {
  const points = fc.array(fc.record({ x: whole(-99, 99), y: whole(-99, 99) }), { minLength: 1 });
  fc.assert(
    fc.property(points, whole(-99, 99), (all, by) => {
      const { x, y } = meanOf(all);
      expect(meanOf(all.map((point) => ({ x: point.x + by, y: point.y - by })))).toEqual({
        x: expect.closeTo(x + by, 9),
        y: expect.closeTo(y - by, 9),
      });
      expect(x).toBeGreaterThanOrEqual(Math.min(...all.map((point) => point.x)) - 1e-9);
      expect(y).toBeLessThanOrEqual(Math.max(...all.map((point) => point.y)) + 1e-9);
    }),
  );
  expect(meanOf([])).toEqual({ x: 0, y: 0 });
});
