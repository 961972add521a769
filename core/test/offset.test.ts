import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { areaOfPath, polygonOf, segmentsOf, subpathOf, type Path } from "../src/geometry/path";
import type { Point } from "../src/geometry/point";
import { circleSegments } from "../src/geometry/arc";
import { offsetPath } from "../src/geometry/offset/offset";
import type { OffsetCorners } from "../src/geometry/offset/offsetCorners";
import { withGeometryEngine } from "./prepared";
import { partDesign } from "./testDesign";
import { outlinesOf, partOf } from "./scenes";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const square = [
  polygonOf([
    { x: -20, y: -20 },
    { x: 20, y: -20 },
    { x: 20, y: 20 },
    { x: -20, y: 20 },
  ]),
];
const disc = [subpathOf(circleSegments(20), true)];

describe("offset of an outline", () => {
  test.each([
    ["round", 40 * 40 + 4 * 40 * 3 + Math.PI * 9],
    ["miter", 46 * 46],
    ["bevel", 40 * 40 + 4 * 40 * 3 + (4 * 9) / 2],
  ] as const)("a square 3 mm outwards with %s corners", (corners, area) => {
    expect(Math.abs(areaOfPath(offsetPath(square, 3, corners)))).toBeCloseTo(area, 3);
  });

  test.each([3, -3, 8, -12])("a disc stays a disc within 0.01 mm, %d mm beside, in few curves", (by) => {
    const path = offsetPath(disc, by, "round");
    for (const { x, y } of flattenPath(path, 0.001).flat()) {
      expect(Math.abs(Math.hypot(x, y) - (20 + by))).toBeLessThan(0.01);
    }
    expect(path.flatMap(segmentsOf).length).toBeLessThan(60);
  });

  test("a ring's hole shrinks while its outside grows, and closes when it must", () => {
    const ring = [...disc, { ...(disc[0] ?? { closed: true }), coordinates: [] }].slice(0, 1);
    const hole = [subpathOf(circleSegments(5), true)].map(({ closed, coordinates }) => {
      const reversed: number[] = [];
      for (let k = coordinates.length - 2; k >= 0; k -= 2) reversed.push(coordinates[k] ?? 0, coordinates[k + 1] ?? 0);
      return { closed, coordinates: reversed };
    });
    const grown = offsetPath([...ring, ...hole], 2, "round");
    expect(Math.abs(areaOfPath(grown))).toBeCloseTo(Math.PI * (22 ** 2 - 3 ** 2), 0);
    expect(offsetPath([...ring, ...hole], 6, "round")).toHaveLength(1);
  });

  test("inwards beyond its middle nothing is left", () => {
    expect(offsetPath(disc, -21, "round")).toHaveLength(0);
  });
});

/** How far a point is from the chords of outlines. */
function distanceFrom(outlines: readonly Point[][], point: Point): number {
  let least = Infinity;
  for (const points of outlines) {
    for (let k = 0; k < points.length; k++) {
      const [start, end] = [points[k], points[(k + 1) % points.length]];
      if (start && end) least = Math.min(least, distanceToChord(point, start, end));
    }
  }
  return least;
}

describe("outlines beside random ones", () => {
  const whole = (min: number, max: number) => fc.integer({ min, max });
  const kind = <K extends string>(name: K) => fc.constant(name);
  const motif = fc.oneof(
    fc.record({ kind: kind("petal"), length: whole(10, 40), width: whole(4, 20), tip: fc.constantFrom(0, 0.6) }),
    fc.record({ kind: kind("star"), points: whole(3, 8), outer: whole(12, 30), inner: whole(4, 11) }),
    fc.record({ kind: kind("polygon"), sides: whole(3, 36), radius: whole(5, 40), corner: whole(0, 3) }),
    fc.record({ kind: kind("ring"), outer: whole(12, 25), inner: whole(2, 11) }),
    fc.record({ kind: kind("sector"), outer: whole(10, 40), from: whole(0, 60), to: whole(80, 300) }),
    fc.record({ kind: kind("drop"), length: whole(10, 40), width: whole(4, 20) }),
  );

  test("every place of a rounded one is as far from the first as asked, outwards and inwards", () => {
    fc.assert(
      fc.property(motif, fc.double({ min: 0.1, max: 4, noNaN: true }), fc.boolean(), (own, by, isInwards) => {
        const [outline = []] = outlinesOf(partOf(partDesign(own)));
        const fine = flattenPath(outline, 0.0002);
        for (const { x, y } of flattenPath(offsetPath(outline, isInwards ? -by : by, "round"), 0.01).flat()) {
          expect(Math.abs(distanceFrom(fine, { x, y }) - by)).toBeLessThan(0.01);
        }
      }),
      { numRuns: members(14) },
    );
  });

  test("beside a regular polygon corners are arcs, tips or cuts: area and number of curves are exact", () => {
    fc.assert(
      fc.property(whole(3, 36), whole(5, 40), fc.double({ min: 0.1, max: 3, noNaN: true }), (sides, radius, by) => {
        const [outline = []] = outlinesOf(partOf(partDesign({ kind: "polygon", sides, radius })));
        const half = Math.PI / sides;
        const [area, around] = [(sides / 2) * radius ** 2 * Math.sin(2 * half), 2 * sides * radius * Math.sin(half)];
        const beside = (corners: OffsetCorners) => offsetPath(outline, by, corners);
        const near = 2e-5 * (area + around * by);
        const expectArea = (path: Path, exact: number) => expect(Math.abs(areaOfPath(path) - exact)).toBeLessThan(near);
        expectArea(beside("round"), area + around * by + Math.PI * by ** 2);
        // A kite at each corner, or its half that stays where the tip is cut off.
        expectArea(beside("miter"), area + around * by + sides * by ** 2 * Math.tan(half));
        expectArea(beside("bevel"), area + around * by + (sides / 2) * by ** 2 * Math.sin(2 * half));
        expect(beside("miter").flatMap(segmentsOf)).toHaveLength(sides);
        expect(beside("bevel").flatMap(segmentsOf)).toHaveLength(2 * sides);
      }),
      { numRuns: members(14) },
    );
  });
});

test("outlines beside a merged one: the largest first, each so far from the one before", () => {
  const rules = [{ kind: "ring", count: 12, radius: 20 }];
  const join = { mode: "merge", offset: { by: -2, times: 2 } };
  const { geometry } = partOf(partDesign({ kind: "disc", radius: 12 }, rules, { join }));
  const areas = geometry.shapes.map(({ path }) => Math.abs(areaOfPath(path)));
  expect(areas).toHaveLength(3);
  expect(areas).toEqual([...areas].sort((a, b) => b - a));
  const outwards = partOf(
    partDesign({ kind: "disc", radius: 12 }, [], { join: { mode: "apart", offset: { by: 2, times: 3, keep: false } } }),
  ).geometry.shapes.map(({ path }) => Math.abs(areaOfPath(path)));
  [18, 16, 14].forEach((radius, index) => expect(outwards[index]).toBeCloseTo(Math.PI * radius ** 2, 0));
});
