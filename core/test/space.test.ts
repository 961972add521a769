import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  apply,
  applySpace,
  multiply,
  multiplySpace,
  movedSpace,
  rotation,
  scaling,
  spaceAt,
  spaceDeterminant,
  spaceOfPlane,
  spaceStretch,
  SPACE_IDENTITY,
  tilted,
  translation,
  type SpaceMatrix,
  type SpacePoint,
} from "../src";

const number = fc.double({ min: -50, max: 50, noNaN: true });
const point = fc.record({ x: number, y: number, z: number });
const angle = fc.double({ min: -180, max: 180, noNaN: true });
const tilt = fc.record({ x: angle, y: angle, z: angle });
const space = fc.tuple(tilt, point).map(([turned, { x, y, z }]) => multiplySpace(movedSpace(x, y, z), tilted(turned)));

function expectNear(a: SpacePoint, b: SpacePoint): void {
  expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeLessThan(1e-9 * (1 + Math.hypot(b.x, b.y, b.z)));
}

const UP = { x: 0, y: 0, z: 1 };
const TIP = { x: 0, y: 1, z: 0 };
const RIGHT = { x: 1, y: 0, z: 0 };

describe("maps of space", () => {
  test.each<[string, SpacePoint, SpacePoint, SpacePoint]>([
    ["x raises the tip", { x: 90, y: 0, z: 0 }, TIP, UP],
    ["x leaves the right side", { x: 90, y: 0, z: 0 }, RIGHT, RIGHT],
    ["y raises the right side", { x: 0, y: 90, z: 0 }, RIGHT, UP],
    ["y leaves the tip", { x: 0, y: 90, z: 0 }, TIP, TIP],
    ["z turns clockwise from above: what points away points right", { x: 0, y: 0, z: 90 }, TIP, RIGHT],
    ["x comes before y and y before z", { x: 90, y: 90, z: 90 }, TIP, { x: 0, y: 1, z: 0 }],
  ])("tilting: %s", (_, by, from, to) => {
    expectNear(applySpace(tilted(by), from), to);
  });

  test("one after the other is both together, and what is put together grouped as one likes", () => {
    fc.assert(
      fc.property(space, space, space, point, (a, b, c, p) => {
        expectNear(applySpace(multiplySpace(a, b), p), applySpace(a, applySpace(b, p)));
        expectNear(
          applySpace(multiplySpace(multiplySpace(a, b), c), p),
          applySpace(multiplySpace(a, multiplySpace(b, c)), p),
        );
        expectNear(applySpace(multiplySpace(a, SPACE_IDENTITY), p), applySpace(a, p));
      }),
    );
  });

  test("turning and moving keep lengths and hands", () => {
    fc.assert(
      fc.property(space, point, point, (by, p, q) => {
        const [a, b] = [applySpace(by, p), applySpace(by, q)];
        expect(Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)).toBeCloseTo(Math.hypot(p.x - q.x, p.y - q.y, p.z - q.z), 8);
        expect(spaceDeterminant(by)).toBeCloseTo(1, 9);
        expect(spaceStretch(by)).toBeCloseTo(1, 9);
      }),
    );
  });

  test("a placement on the sheet does in space what it does there, y the other way, and raises as it says", () => {
    fc.assert(
      fc.property(
        number,
        number,
        angle,
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        point,
        number,
        (x, y, turn, size, p, rise) => {
          const plane = multiply(translation(x, y), multiply(rotation(turn), scaling(size, -0.5)));
          const flat = apply(plane, { x: p.x, y: -p.y });
          expectNear(applySpace(spaceOfPlane(plane, rise, 0.7), p), { x: flat.x, y: -flat.y, z: p.z * 0.7 + rise });
          // Mirrored on the sheet is mirrored in space.
          expect(Math.sign(spaceDeterminant(spaceOfPlane(plane, rise, 0.7)))).toBe(-1);
        },
      ),
    );
  });

  test("many lie one behind the other in a flat array", () => {
    fc.assert(
      fc.property(fc.array(space, { minLength: 1, maxLength: 5 }), (maps) => {
        const flat = Float64Array.from(maps.flat());
        maps.forEach((map, index) => expect(spaceAt(flat, index)).toEqual([...map] satisfies number[]));
      }),
    );
  });

  test("stretch is the longest of what the axes become", () => {
    const long: SpaceMatrix = [3, 0, 0, 0, 0.5, 0, 0, 0, 2, 9, 9, 9];
    expect(spaceStretch(long)).toBe(3);
    expect(spaceDeterminant(long)).toBe(3);
  });
});
