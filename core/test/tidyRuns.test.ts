import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { circleSegments } from "../src/geometry/arc";
import { combine } from "../src/geometry/boolean/boolean";
import { isTidy } from "../src/geometry/boolean/tidyRuns";
import { areaOfPath, polygonOf, reversePath, subpathOf, transformPath, type Path } from "../src/geometry/path";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const polygon = (...corners: readonly (readonly [number, number])[]): Path => [
  polygonOf(corners.map(([x, y]) => ({ x, y }))),
];
const square = (x: number, y: number, half: number) =>
  polygon([x - half, y - half], [x + half, y - half], [x + half, y + half], [x - half, y + half]);
const disc = (x: number, y: number, radius: number): Path =>
  transformPath([subpathOf(circleSegments(radius), true)], [1, 0, 0, 1, x, y]);

describe("whether runs bound their area already", () => {
  test.each<[string, boolean, Path]>([
    ["a square", true, square(0, 0, 20)],
    ["one run the other way", false, reversePath(square(0, 0, 20))],
    ["a square with a hole", true, [...square(0, 0, 20), ...reversePath(disc(0, 0, 15))]],
    ["a hole run the same way", false, [...square(0, 0, 20), ...disc(0, 0, 15)]],
    ["an island in a hole", true, [...square(0, 0, 20), ...reversePath(disc(0, 0, 15)), ...square(2, 1, 5)]],
    ["squares apart", true, [...square(0, 0, 20), ...square(41, 0, 20)]],
    ["squares that share a side", false, [...square(0, 0, 20), ...square(40, 0, 20)]],
    ["squares that share a corner", false, [...square(0, 0, 20), ...square(40, 40, 20)]],
    ["squares that cross", false, [...square(0, 0, 20), ...square(30, 10, 20)]],
    ["a run crossing itself", false, polygon([0, 0], [40, 40], [40, 0], [0, 40])],
    ["a side run there and back", false, polygon([0, 0], [40, 0], [40, 40], [20, 40], [20, 70], [20, 40], [0, 40])],
    ["a disc gone round twice", false, [subpathOf([...circleSegments(20), ...circleSegments(20)], true)]],
    ["an open run", false, [{ ...square(0, 0, 20)[0], closed: false, coordinates: [0, 0, 0, 0, 9, 0, 9, 0] }]],
    ["nothing", true, []],
  ])("%s: %s", (_, wanted, path) => {
    expect(isTidy(path)).toBe(wanted);
  });

  test("what is told to be tidy has the area and the runs of its union", () => {
    const member = fc.record({
      x: fc.integer({ min: -30, max: 30 }),
      y: fc.integer({ min: -30, max: 30 }),
      size: fc.integer({ min: 2, max: 12 }),
      isDisc: fc.boolean(),
      isBack: fc.boolean(),
    });
    let [tidy, not] = [0, 0];
    fc.assert(
      fc.property(fc.array(member, { minLength: 1, maxLength: 5 }), (members) => {
        const path = members.flatMap(({ x, y, size, isDisc, isBack }) => {
          const own = isDisc ? disc(x, y, size) : square(x, y, size);
          return isBack ? reversePath(own) : own;
        });
        if (!isTidy(path)) return void not++;
        tidy += 1;
        const union = combine([path], "union");
        expect(union).toHaveLength(path.length);
        expect(areaOfPath(path)).toBeCloseTo(areaOfPath(union), 3);
      }),
      { numRuns: members(300) },
    );
    expect(tidy).toBeGreaterThan(40);
    expect(not).toBeGreaterThan(40);
  });
});
