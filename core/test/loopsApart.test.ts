import { beforeAll, expect, test } from "@jest/globals";
import fc from "fast-check";
import { combine, type Path } from "../src";
import { areaOfPath, polygonOf, transformPath } from "../src/geometry/path";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const bar = (left: number, top: number, width: number, height: number): Path => [
  polygonOf([
    { x: left, y: top },
    { x: left + width, y: top },
    { x: left + width, y: top + height },
    { x: left, y: top + height },
  ]),
];
const count = fc.integer({ min: 1, max: 6 });
const anywhere = fc.record({
  turn: fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
  scale: fc.constantFrom(1e-3, 0.3, 1, 40),
});

function carried(path: Path, { turn, scale }: { turn: number; scale: number }): Path {
  const [c, s] = [scale * Math.cos(turn), scale * Math.sin(turn)];
  return transformPath(path, [c, s, -s, c, 3 * scale, -7 * scale]);
}

test("bars that cross leave a loop for each piece between crossings, whichever way they lie", () => {
  fc.assert(
    fc.property(count, count, anywhere, (across, down, place) => {
      const bars = [
        ...Array.from({ length: across }, (_, k) => bar(10 * k + 2, -3, 4, 10 * down + 6)),
        ...Array.from({ length: down }, (_, k) => bar(-3, 10 * k + 2, 10 * across + 6, 4)),
      ];
      const loops = combine([carried(bars.flat(), place)], "union", "evenodd");
      expect(loops).toHaveLength(across * (down + 1) + down * (across + 1));
      expect(loops.every((loop) => areaOfPath([loop]) > 0)).toBe(true);
    }),
    { numRuns: members(30) },
  );
});

test("squares of a chessboard that meet at corners are loops of their own", () => {
  fc.assert(
    fc.property(count, count, anywhere, (columns, rows, place) => {
      const squares = Array.from({ length: columns * rows }, (_, k) => [k % columns, Math.floor(k / columns)] as const)
        .filter(([column, row]) => (column + row) % 2 === 0)
        .map(([column, row]) => carried(bar(5 * column, 5 * row, 5, 5), place));
      expect(combine(squares, "union")).toHaveLength(Math.ceil((columns * rows) / 2));
    }),
    { numRuns: members(30) },
  );
});

test("where three edges and more meet in a point, there are as many loops at every size", () => {
  const size = fc.integer({ min: 3, max: 30 });
  fc.assert(
    fc.property(size, size, fc.constantFrom(6, 8, 12), anywhere, (width, height, turns, place) => {
      const own = bar(0, -height / 2, width, height);
      const turned = Array.from({ length: turns }, (_, k) =>
        carried(own, { turn: (2 * Math.PI * k) / turns + 0.1, scale: 1 }),
      ).flat();
      const loops = (path: Path) => combine([path], "union", "evenodd").length;
      expect(loops(carried(turned, place))).toBe(loops(turned));
    }),
    { numRuns: members(20) },
  );
});
