import { beforeAll, describe, expect, test } from "@jest/globals";
import { flattenPath } from "../src/geometry/flatten";
import { areaOfPath, polygonOf, segmentsOf, subpathOf } from "../src/geometry/path";
import { circleSegments } from "../src/geometry/arc";
import { offsetPath } from "../src/geometry/offset/offset";
import { withGeometryEngine } from "./prepared";
import { partDesign } from "./testDesign";
import { partOf } from "./scenes";

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
  ] as const)("a square 3 mm outwards with %s corners", (corners, area) => {
    expect(Math.abs(areaOfPath(offsetPath(square, 3, corners)))).toBeCloseTo(area, 1);
  });

  test("bevelled corners lie between pointed and round ones' reach", () => {
    const reach = (corners: "round" | "miter" | "bevel") =>
      Math.max(
        ...flattenPath(offsetPath(square, 3, corners), 0.01)
          .flat()
          .map(({ x, y }) => Math.hypot(x, y)),
      );
    expect(reach("bevel")).toBeGreaterThan(reach("round"));
    expect(reach("bevel")).toBeLessThan(reach("miter"));
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
