import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { joinBoxes, EMPTY_BOX } from "../src/geometry/box";
import { boxOfPath, type Path } from "../src/geometry/path";
import { mostAlong, reachOf } from "../src/geometry/reach";
import { boxOfCopies } from "../src/rules/boxOfCopies";
import { members } from "./randomMembers";

const place = fc.double({ min: -100, max: 100, noNaN: true });
const outline = fc
  .array(place, { minLength: 16, maxLength: 32 })
  .map((numbers): Path => [
    { closed: true, coordinates: numbers.slice(0, 2 + 6 * Math.floor((numbers.length - 2) / 6)) },
  ]);
const matrix = fc.tuple(place, place, place, place, place, place);

test("the box of copies is the box of each, taken together", () => {
  fc.assert(
    fc.property(
      fc.array(outline, { minLength: 1, maxLength: 3 }),
      fc.array(matrix, { maxLength: 120 }),
      (paths, maps) => {
        const shapeOf = Uint32Array.from(maps, (_, copy) => (copy * 7) % paths.length);
        const found = boxOfCopies(
          paths.map((path) => ({ path })),
          { count: maps.length, matrices: Float64Array.from(maps.flat()), shapeOf },
        );
        const each = maps.map((map, copy) => boxOfPath(paths[shapeOf[copy] ?? 0] ?? [], map));
        const expected = each.reduce(joinBoxes, EMPTY_BOX);
        for (const side of ["left", "top", "right", "bottom"] as const)
          expect(found[side]).toBeCloseTo(expected[side], 6);
      },
    ),
    { numRuns: members(100) },
  );
});

test("an outline reaches nowhere farther than is said, and hardly less far", () => {
  fc.assert(
    fc.property(outline, place, place, (path, u, v) => {
      const along: number[] = [];
      for (const { coordinates } of path) {
        for (let k = 0; k < coordinates.length; k += 2)
          along.push(u * (coordinates[k] ?? 0) + v * (coordinates[k + 1] ?? 0));
      }
      const most = mostAlong(reachOf(path), u, v);
      const spare = Math.hypot(u, v) * 142;
      // Of the smallest numbers there are, hardly a digit is left.
      expect(most).toBeGreaterThanOrEqual(Math.max(...along) - 1e-9 * spare - 1e-300);
      expect(most).toBeLessThanOrEqual(Math.max(...along) + 0.002 * spare + 1e-300);
    }),
  );
});
