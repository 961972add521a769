import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { combine, multiply, rotation, translation, transformPath, type Path } from "../src";
import { circleSegments } from "../src/geometry/arc";
import { areaOfPath, polygonOf, reversePath, segmentsOf, subpathOf } from "../src/geometry/path";
import { isStraight, straight } from "../src/geometry/cubic";
import { reflection } from "../src/geometry/matrix";
import { petalSegments } from "../src/motif/petal";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const disc = (radius: number, x = 0, y = 0): Path => [subpathOf(circleSegments(radius, { x, y }), true)];
const square = (side: number, x = 0, y = 0): Path => [
  polygonOf([
    { x, y },
    { x: x + side, y },
    { x: x + side, y: y + side },
    { x, y: y + side },
  ]),
];
/** What the circle drawn as eight cubics has for an area, so that only the combining is measured. */
const discArea = (radius: number) => areaOfPath(disc(radius));

/** Area two circles of one radius share, their centres apart: 2r² acos(d/2r) − d/2 √(4r² − d²). */
function lens(r: number, d: number): number {
  return 2 * r * r * Math.acos(d / (2 * r)) - (d / 2) * Math.sqrt(4 * r * r - d * d);
}

function within(share: number, measured: number, exact: number): void {
  expect(Math.abs(measured - exact)).toBeLessThan(Math.abs(exact) * share);
}

describe("areas, to 0.01 %", () => {
  test("two discs: union, intersection, difference, exclusive or", () => {
    const [a, b] = [disc(20), disc(20, 25)];
    const shared = lens(20, 25);
    const whole = Math.PI * 400;
    within(1e-4, areaOfPath(combine([a, b], "union")), 2 * whole - shared);
    within(1e-4, areaOfPath(combine([a, b], "intersection")), shared);
    within(1e-4, areaOfPath(combine([a, b], "difference")), whole - shared);
    within(1e-4, areaOfPath(combine([a, b], "exclusive")), 2 * (whole - shared));
  });

  test("a disc of radius 60 less 24 holes of radius 4 on a ring of 40", () => {
    const holes = Array.from({ length: 24 }, (_, k) =>
      transformPath(disc(4), multiply(rotation(15 * k), translation(0, -40))),
    );
    const plate = combine([disc(60), ...holes], "difference");
    expect(plate).toHaveLength(25);
    within(1e-4, areaOfPath(plate), 3600 * Math.PI - 24 * 16 * Math.PI);
    // Nothing is cut, so every circle is still its eight curves.
    expect(plate.flatMap(segmentsOf)).toHaveLength(25 * 8);
  });

  test("6 half-petals and their mirror images meeting in exact edges make one outline, 12 × the half, no sliver", () => {
    // A half that fills its wedge of 30°: a curved outer side, straight sides on the mirror line and the wedge line.
    const tip = { x: 0, y: -40 };
    const side = { x: 30 * Math.sin(Math.PI / 6), y: -30 * Math.cos(Math.PI / 6) };
    const half: Path = [
      subpathOf(
        [
          straight({ x: 0, y: 0 }, tip),
          [tip, { x: 6, y: -38 }, { x: 14, y: -34 }, side],
          straight(side, { x: 0, y: 0 }),
        ],
        true,
      ),
    ];
    const pair = [half, transformPath(half, reflection(0, { x: 0, y: 0 }))];
    const all = Array.from({ length: 6 }, (_, k) => pair.map((one) => transformPath(one, rotation(60 * k)))).flat();
    const merged = combine(all, "union");
    expect(merged).toHaveLength(1);
    within(1e-6, areaOfPath(merged), 12 * Math.abs(areaOfPath(half)));
    expect(merged.flatMap(segmentsOf)).toHaveLength(12);
  });

  test("squares that share an edge, or a piece of one, become one outline", () => {
    expect(combine([square(10), square(10, 10)], "union")).toHaveLength(1);
    const stepped = combine([square(10), square(4, 10, 3)], "union");
    expect(stepped).toHaveLength(1);
    expect(areaOfPath(stepped)).toBeCloseTo(116, 9);
  });

  test("a shape less itself is nothing; a shape with itself is itself", () => {
    const petal: Path = [subpathOf(petalSegments({ length: 40, width: 16, widest: 0.4, tip: 0, foot: 0 }), true)];
    expect(combine([petal, petal], "difference")).toEqual([]);
    within(1e-9, areaOfPath(combine([petal, petal], "union")), areaOfPath(petal));
  });

  test("a self-crossing outline follows its rule", () => {
    const loops: Path = [...disc(10), ...disc(4)];
    within(1e-4, areaOfPath(combine([loops], "union", "nonzero")), discArea(10));
    within(1e-4, areaOfPath(combine([loops], "union", "evenodd")), discArea(10) - discArea(4));
    within(1e-4, areaOfPath(combine([[...disc(10), ...reversePath(disc(4))]], "union")), discArea(10) - discArea(4));
  });
});

describe("curves stay curves", () => {
  test("a disc cut by a square keeps true arcs: every point on the circle or on the square", () => {
    const cut = combine([disc(20), square(50)], "difference");
    const segments = cut.flatMap(segmentsOf);
    expect(segments.filter(isStraight)).toHaveLength(2);
    expect(segments.length).toBeLessThanOrEqual(8);
    within(1e-6, areaOfPath(cut), 0.75 * discArea(20));
  });

  test("12 discs on a ring: 20 or so cubics a loop instead of hundreds of chords, crossings exact", () => {
    const discs = Array.from({ length: 12 }, (_, k) =>
      transformPath(disc(20), multiply(rotation(30 * k), translation(0, -25))),
    );
    const union = combine(discs, "union");
    expect(union.flatMap(segmentsOf).length).toBeLessThan(120);
    for (const [start] of union.flatMap(segmentsOf)) {
      const near = discs.map((_, k) => {
        const angle = (Math.PI * k) / 6;
        return Math.abs(Math.hypot(start.x - 25 * Math.sin(angle), start.y + 25 * Math.cos(angle)) - 20);
      });
      expect(Math.min(...near)).toBeLessThan(1e-4);
    }
  });

  test("areas obey inclusion and exclusion for random overlapping ellipses and stars", () => {
    const place = fc.record({
      x: fc.double({ min: -15, max: 15, noNaN: true }),
      y: fc.double({ min: -15, max: 15, noNaN: true }),
      turn: fc.double({ min: 0, max: 360, noNaN: true }),
    });
    fc.assert(
      fc.property(place, place, fc.integer({ min: 3, max: 9 }), (p, q, points) => {
        const star: Path = [
          polygonOf(
            Array.from({ length: 2 * points }, (_, k) => {
              const angle = (Math.PI * k) / points;
              const radius = k % 2 === 0 ? 20 : 9;
              return { x: radius * Math.sin(angle), y: -radius * Math.cos(angle) };
            }),
          ),
        ];
        const a = transformPath(
          disc(14),
          multiply(translation(p.x, p.y), multiply(rotation(p.turn), [1.3, 0, 0, 0.6, 0, 0])),
        );
        const b = transformPath(star, multiply(translation(q.x, q.y), rotation(q.turn)));
        const area = (operation: "union" | "intersection" | "difference" | "exclusive") =>
          areaOfPath(combine([a, b], operation));
        const sum = areaOfPath(a) + areaOfPath(b);
        // What is nearer than 0.0002 mm meets.
        const near = 5e-6 * sum;
        return (
          Math.abs(area("union") + area("intersection") - sum) < near &&
          Math.abs(area("difference") + area("intersection") - areaOfPath(a)) < near &&
          Math.abs(area("exclusive") - (sum - 2 * area("intersection"))) < near
        );
      }),
      { numRuns: members(150) },
    );
  });
});

describe("areas that run different ways round", () => {
  const run = (x: number, hand: 1 | -1 = 1) =>
    polygonOf([
      { x, y: 0 },
      { x: x + 10 * hand, y: 0 },
      { x: x + 10 * hand, y: 10 },
      { x, y: 10 },
    ]);
  /** Two triangles that meet at a point, run as one: the one clockwise, the other not. */
  const bow = (x: number) =>
    polygonOf([
      { x, y: 0 },
      { x: x + 10, y: 10 },
      { x: x + 10, y: 0 },
      { x, y: 10 },
    ]);
  const area = (path: Path) => Math.abs(areaOfPath(path));

  test("a mirrored one does not undo the one it lies over: united, or taken away from a third", () => {
    expect(area(combine([[run(50)], [run(0)], [run(10, -1)]], "union"))).toBeCloseTo(200, 6);
    expect(area(combine([[run(50)], [run(0)], [run(15, -1)]], "union"))).toBeCloseTo(250, 6);
    const table = square(30, -5, -5);
    expect(area(combine([table, [run(0)], [run(10, -1)]], "difference"))).toBeCloseTo(900 - 100, 6);
  });

  test("nor do parts of one outline that run either way: a bow, and two loops of one path", () => {
    expect(area(combine([[run(50)], [bow(0)], [bow(0)]], "union"))).toBeCloseTo(150, 4);
    expect(area(combine([[run(50)], [bow(0)], [run(0)]], "union"))).toBeCloseTo(200, 4);
    const loops = [run(0), run(30, -1)];
    expect(area(combine([[run(50)], loops, loops.toReversed()], "union"))).toBeCloseTo(300, 6);
  });

  test("holes stay holes", () => {
    const ring = [...disc(20), ...reversePath(disc(10))];
    const far = [run(100)];
    expect(area(combine([far, ring, ring], "union"))).toBeCloseTo(100 + Math.PI * 300, 2);
    const mirrored = reversePath(ring);
    expect(area(combine([far, ring, mirrored], "union"))).toBeCloseTo(100 + Math.PI * 300, 2);
  });
});
