import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { apply, invert, multiply, polar, rotation, translation, type Matrix } from "../src";
import { cosDegrees, normaliseDegrees, sinDegrees } from "../src/geometry/angle";
import { arcSegments } from "../src/geometry/arc";
import { bendPath } from "../src/geometry/bend";
import { EMPTY_BOX, growBox, isEmpty, joinBoxes, meets, placeInBox, reachFrom, type Box } from "../src/geometry/box";
import { pointAt, straight, type Cubic } from "../src/geometry/cubic";
import { eccentricOf, evenAlongEllipse, outwardAt, pointOnEllipse } from "../src/geometry/ellipse";
import { regularPoints, roundCorners } from "../src/geometry/fillet";
import { flattenPath } from "../src/geometry/flatten";
import { measureLine } from "../src/geometry/line";
import { about, determinant, fixedPoint, reflection, scaling, sizeOf } from "../src/geometry/matrix";
import { areaOfPath, boxOfPath, polygonOf, subpathOf } from "../src/geometry/path";
import { symmetryProbe } from "../src/geometry/symmetry";
import { numbersIn, pixelsOfLength } from "../src/motif/svg/import/lengths";
import { transformOf, viewBoxMap } from "../src/motif/svg/import/transforms";

const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const angle = fc.double({ min: -720, max: 720, noNaN: true });
const size = fc.double({ min: 0.2, max: 5, noNaN: true });
const matrix = fc
  .tuple(angle, size, size, point, fc.boolean())
  .map(([turn, x, y, at, flip]): Matrix =>
    multiply(translation(at.x, at.y), multiply(rotation(turn), scaling(flip ? -x : x, y))),
  );

const near = (p: { x: number; y: number } | null, q: { x: number; y: number }, places = 7) => {
  expect(p?.x).toBeCloseTo(q.x, places);
  expect(p?.y).toBeCloseTo(q.y, places);
};

describe("angles and maps", () => {
  test("quarter turns are exact, everything else within rounding", () => {
    for (const turn of [-720, -360, 0, 360])
      expect([cosDegrees(turn + 90) + 0, sinDegrees(turn + 180) + 0]).toEqual([0, 0]);
    fc.assert(
      fc.property(angle, (degrees) => {
        expect(cosDegrees(degrees) ** 2 + sinDegrees(degrees) ** 2).toBeCloseTo(1, 12);
        expect(normaliseDegrees(degrees)).toBeGreaterThanOrEqual(0);
        expect(normaliseDegrees(degrees)).toBeLessThan(360);
        expect(cosDegrees(normaliseDegrees(degrees))).toBeCloseTo(cosDegrees(degrees), 9);
      }),
    );
  });

  test("the inverse undoes, a map that flattens has none", () => {
    fc.assert(fc.property(matrix, point, (map, p) => near(apply(invert(map) ?? map, apply(map, p)), p)));
    expect(invert([1, 2, 2, 4, 0, 0])).toBeNull();
    expect(invert([Infinity, 0, 0, 1, 0, 0])).toBeNull();
  });

  test("a map's fixed point stays; shifts and the identity have none of their own", () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 355, noNaN: true }), point, (turn, pivot) =>
        near(fixedPoint(about(pivot, rotation(turn))), pivot, 5),
      ),
    );
    expect(fixedPoint(translation(3, 4))).toBeNull();
    expect(fixedPoint(rotation(0))).toBeNull();
  });

  test("a mirror image twice is the original, keeps its line and turns the sides over", () => {
    fc.assert(
      fc.property(angle, point, point, (degrees, through, p) => {
        const mirror = reflection(degrees, through);
        near(apply(mirror, apply(mirror, p)), p);
        near(apply(mirror, polar(7, degrees, through)), polar(7, degrees, through));
        expect(determinant(mirror)).toBeCloseTo(-1, 9);
        expect(sizeOf(mirror)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe("boxes", () => {
  const box: Box = { left: -10, top: -20, right: 30, bottom: 0 };

  test("joined to the box around nothing a box is itself; nothing meets it", () => {
    expect(joinBoxes(box, EMPTY_BOX)).toEqual(box);
    expect(isEmpty(EMPTY_BOX)).toBe(true);
    expect(meets(box, EMPTY_BOX)).toBe(false);
    expect(isEmpty(growBox(EMPTY_BOX, 5))).toBe(true);
  });

  test("meet where they touch, are grown on all sides, and know places and reach", () => {
    expect(meets(box, { left: 30, top: 0, right: 40, bottom: 5 })).toBe(true);
    expect(meets(box, { left: 30.01, top: 0, right: 40, bottom: 5 })).toBe(false);
    expect(growBox(box, 2)).toEqual({ left: -12, top: -22, right: 32, bottom: 2 });
    expect(placeInBox(box, { x: 0.5, y: 1 })).toEqual({ x: 10, y: 0 });
    expect(placeInBox(EMPTY_BOX, { x: 0.5, y: 1 })).toEqual({ x: 0, y: 0 });
    expect(reachFrom(box, { x: 0, y: 0 }, 1)).toBeCloseTo(Math.hypot(30, 20), 12);
    expect(reachFrom(box, { x: 0, y: 0 }, 99)).toBe(99);
    expect(reachFrom(EMPTY_BOX, { x: 0, y: 0 }, 4)).toBe(4);
  });
});

describe("circles and ellipses", () => {
  test("an arc's radius is off by less than five millionths of itself, its ends are exact", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 500, noNaN: true }), angle, angle, (radius, from, to) => {
        fc.pre(Math.abs(to - from) > 0.1);
        const segments = arcSegments(radius, from, to);
        near(segments[0]?.[0] ?? null, polar(radius, from));
        near(segments.at(-1)?.[3] ?? null, polar(radius, to));
        for (const segment of segments)
          for (const t of [0.2, 0.5, 0.8]) {
            const { x, y } = pointAt(segment, t);
            expect(Math.abs(Math.hypot(x, y) / radius - 1)).toBeLessThan(5e-6);
          }
      }),
    );
  });

  const radii = { x: 50, y: 20 };

  test("places even along an ellipse have equal arcs between them: 24 of its circumference by Ramanujan's formula", () => {
    const along = evenAlongEllipse(radii, 0, 360);
    const length = (from: number, to: number) => {
      let sum = 0;
      for (let k = 0; k < 400; k++) {
        const [p, q] = [k, k + 1].map((step) => pointOnEllipse(radii, from + ((to - from) * step) / 400));
        if (p && q) sum += Math.hypot(p.x - q.x, p.y - q.y);
      }
      return sum;
    };
    const h = ((radii.x - radii.y) / (radii.x + radii.y)) ** 2;
    const around = Math.PI * (radii.x + radii.y) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    for (let k = 0; k < 24; k++) expect(length(along(k / 24), along((k + 1) / 24))).toBeCloseTo(around / 24, 3);
  });

  test("outwards is square to the ellipse, and a direction seen from the centre finds its place", () => {
    fc.assert(
      fc.property(fc.double({ min: -350, max: 350, noNaN: true }), (eccentric) => {
        const [before, after] = [pointOnEllipse(radii, eccentric - 0.01), pointOnEllipse(radii, eccentric + 0.01)];
        const out = polar(1, outwardAt(radii, eccentric));
        const way = Math.hypot(after.x - before.x, after.y - before.y);
        expect(((after.x - before.x) * out.x + (after.y - before.y) * out.y) / way).toBeCloseTo(0, 3);
        const there = pointOnEllipse(radii, eccentricOf(radii, eccentric));
        const seen = polar(Math.hypot(there.x, there.y), eccentric);
        near(there, seen, 6);
        expect(Math.abs(eccentricOf(radii, eccentric) - eccentric)).toBeLessThan(90);
      }),
    );
  });
});

describe("rounded corners", () => {
  const edgesOf = (count: number, radius: number): Cubic[] => {
    const corners = regularPoints(count, radius, 0);
    return corners.map((corner, k) => straight(corner, corners[(k + 1) % count] ?? corner));
  };
  const area = (edges: readonly Cubic[]) => Math.abs(areaOfPath([subpathOf(edges, true)]));

  test("each takes r²(tan(π/n) − π/n) from a regular figure of n sides", () => {
    for (const [count, radius] of [
      [4, 5],
      [3, 4],
      [7, 12],
    ] as const) {
      const edges = edgesOf(count, 40);
      const taken = count * radius ** 2 * (Math.tan(Math.PI / count) - Math.PI / count);
      expect(area(edges) - area(roundCorners(edges, radius))).toBeCloseTo(taken, 2);
    }
  });

  test("the largest rounding of a regular figure is the circle within it; none leaves it as it was", () => {
    const edges = edgesOf(6, 40);
    const within = 40 * Math.cos(Math.PI / 6);
    expect(area(roundCorners(edges, 1_000))).toBeCloseTo(Math.PI * within ** 2, 1);
    expect(roundCorners(edges, 0)).toEqual(edges);
  });
});

describe("symmetries of an outline", () => {
  const square = symmetryProbe([polygonOf(regularPoints(4, 10, 45).map(({ x, y }) => ({ x: x + 3, y: y - 2 })))], 0.01);

  test("a square off the centre has four turns about its own middle, and four mirrors", () => {
    near(square.centre, { x: 3, y: -2 });
    for (const turn of [0, 90, 180, 270]) expect(square.isSymmetry(about(square.centre, rotation(turn)))).toBe(true);
    for (const turn of [45, 89, 120]) expect(square.isSymmetry(about(square.centre, rotation(turn)))).toBe(false);
    for (const turn of [0, 45, 90, 135]) expect(square.isSymmetry(reflection(turn, square.centre))).toBe(true);
    expect(square.isSymmetry(reflection(20, square.centre))).toBe(false);
    expect(square.isSymmetry(rotation(90))).toBe(false);
  });

  test("an outline of nothing has none", () => {
    expect(symmetryProbe([], 0.01).isSymmetry(rotation(0))).toBe(false);
  });
});

describe("a path laid along a line", () => {
  test("around a circle, what stood so high is so far from it: outside to the left of travel", () => {
    const circle = measureLine([subpathOf(arcSegments(30, 0, 360), true)]);
    if (!circle) throw new Error("no line");
    expect(circle.length).toBeCloseTo(60 * Math.PI, 3);
    const strip = [
      polygonOf([
        { x: 0, y: 0 },
        { x: 40, y: 0 },
        { x: 40, y: -5 },
        { x: 0, y: -5 },
      ]),
    ];
    const bent = bendPath(strip, circle, 10);
    for (const { x, y } of flattenPath(bent, 0.001).flat()) {
      const away = Math.hypot(x, y);
      expect(away).toBeGreaterThan(30 - 0.02);
      expect(away).toBeLessThan(35 + 0.02);
    }
    // A band of 5 around 40 mm of the circle: the sector's own area.
    expect(Math.abs(areaOfPath(bent))).toBeCloseTo(((35 ** 2 - 30 ** 2) / 2) * (40 / 30), 1);
  });

  test("along a straight line it is itself, beyond the end too; a line without length is none", () => {
    const line = measureLine([subpathOf([straight({ x: 0, y: 0 }, { x: 10, y: 0 })], false)]);
    if (!line) throw new Error("no line");
    const strip = [polygonOf(regularPoints(5, 3, 0))];
    const box = boxOfPath(bendPath(strip, line, 25));
    expect(box.left).toBeCloseTo(25 + boxOfPath(strip).left, 6);
    expect(box.top).toBeCloseTo(-3, 6);
    expect(measureLine([subpathOf([straight({ x: 1, y: 1 }, { x: 1, y: 1 })], false)])).toBeNull();
  });
});

describe("what an imported drawing says of places", () => {
  test.each([
    ["translate(10 20) scale(2)", { x: 1, y: 1 }, { x: 12, y: 22 }],
    ["rotate(90)", { x: 1, y: 0 }, { x: 0, y: 1 }],
    ["rotate(180, 5, 5)", { x: 0, y: 0 }, { x: 10, y: 10 }],
    ["matrix(1,2,3,4,5,6)", { x: 1, y: 1 }, { x: 9, y: 12 }],
    ["skewX(45)", { x: 0, y: 3 }, { x: 3, y: 3 }],
    ["skewY(45)", { x: 3, y: 0 }, { x: 3, y: 3 }],
    ["scale(2,-1)", { x: 1, y: 1 }, { x: 2, y: -1 }],
    ["wobble(7)", { x: 1, y: 1 }, { x: 1, y: 1 }],
    [undefined, { x: 1, y: 1 }, { x: 1, y: 1 }],
  ])("%s", (text, from, to) => near(apply(transformOf(text), from), to, 9));

  test.each([
    [undefined, { x: 50, y: 0 }, { x: 150, y: 100 }],
    ["xMinYMid meet", { x: 0, y: 0 }, { x: 100, y: 100 }],
    ["xMaxYMin", { x: 100, y: 0 }, { x: 200, y: 100 }],
    ["xMidYMid slice", { x: 0, y: -50 }, { x: 200, y: 150 }],
    ["none", { x: 0, y: 0 }, { x: 200, y: 100 }],
  ])("a square drawing in a lying frame, %s", (preserve, upper, lower) => {
    const map = viewBoxMap([10, 10, 20, 20], 200, 100, preserve);
    near(apply(map, { x: 10, y: 10 }), upper, 9);
    near(apply(map, { x: 30, y: 30 }), lower, 9);
  });

  test("lengths in every unit are pixels of a ninety-sixth of an inch; a share is of the whole", () => {
    const lengths = ["96", "1in", "25.4mm", "2.54cm", "72pt", "6pc", "101.6Q", "+9.6e1px"];
    for (const text of lengths) expect(pixelsOfLength(text, 0)).toBeCloseTo(96, 9);
    expect(pixelsOfLength("50%", 300)).toBe(150);
    for (const text of ["", "auto", "3 apples", undefined]) expect(pixelsOfLength(text, 1)).toBeNull();
    expect(numbersIn("0,0 10-5.5.5e1")).toEqual([0, 0, 10, -5.5, 5]);
  });
});
