import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { circleSegments } from "../src/geometry/arc";
import { crossingsOf, type Owned } from "../src/geometry/crossings";
import { segmentsOf, subpathOf, transformPath } from "../src/geometry/path";
import { multiply, rotation, translation } from "../src/geometry/matrix";
import { members } from "./randomMembers";

describe("where curves cross", () => {
  test("circles that lie over each other by ever so little cross twice, where their radii say", () => {
    const radius = fc.double({ min: 4, max: 60, noNaN: true });
    const angle = fc.double({ min: 0, max: 360, noNaN: true });
    // The fitted circles leave true ones by up to 0.0003 of their radius.
    const depth = fc.double({ min: 0.05, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(radius, radius, depth, angle, angle, (one, two, over, way, turned) => {
        const apart = one + two - over;
        const circle = (size: number, x: number, turn: number, owner: number): Owned[] => {
          const placed = multiply(rotation(way), multiply(translation(x, 0), rotation(turn)));
          const path = transformPath([subpathOf(circleSegments(size), true)], placed);
          return path.flatMap((run) => segmentsOf(run)).map((cubic) => ({ cubic, owner }));
        };
        const found = crossingsOf([...circle(one, 0, 0, 0), ...circle(two, apart, turned, 1)]);
        expect(found).toHaveLength(2);
        const [first, second] = found.map(({ point }) => point);
        const along = (apart ** 2 + one ** 2 - two ** 2) / (2 * apart);
        const between = 2 * Math.sqrt(one ** 2 - along ** 2);
        const chord = Math.hypot((first?.x ?? 0) - (second?.x ?? 0), (first?.y ?? 0) - (second?.y ?? 0));
        expect(Math.abs(chord / between - 1)).toBeLessThan(0.2);
        for (const { point } of found) expect(Math.abs(Math.hypot(point.x, point.y) / one - 1)).toBeLessThan(5e-4);
      }),
      { numRuns: members(200) },
    );
  });
});
