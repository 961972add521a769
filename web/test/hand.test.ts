import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { MILLIMETRES_PER } from "@twin-petal/core";
import { parseMeasure } from "@/desk/fields/parseMeasure";
import { fitted, panned, toScreen, toSheet, zoomed } from "@/paint/view";
import { coarseness, quantised } from "@/ui/stepping";
import { MILLIMETRES, sizeWords } from "@/wall/sizeWords";

const SIZE = { width: 888, height: 756 };
const coordinate = fc.double({ min: -500, max: 500, noNaN: true });

describe("the view", () => {
  const view = fc.record({ x: coordinate, y: coordinate, scale: fc.double({ min: 0.05, max: 50, noNaN: true }) });
  const point = fc.record({ x: coordinate, y: coordinate });

  test("the sheet's point under the hand stays there while zooming, and follows it while panning", () => {
    fc.assert(
      fc.property(view, point, fc.double({ min: 0.5, max: 2, noNaN: true }), (seen, at, factor) => {
        const held = toSheet(seen, SIZE, at);
        const enlarged = toScreen(zoomed(seen, SIZE, factor, at), SIZE, held);
        const moved = toScreen(panned(seen, 30, -20), SIZE, held);
        const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
        return near(enlarged.x, at.x) && near(enlarged.y, at.y) && near(moved.x, at.x + 30) && near(moved.y, at.y - 20);
      }),
    );
  });

  test("a sheet shown whole touches the room left around it on its tighter side", () => {
    const seen = fitted({ left: -100, top: -50, right: 100, bottom: 50 }, SIZE, 44);
    expect(toScreen(seen, SIZE, { x: -100, y: 0 })).toEqual({ x: 44, y: 378 });
    expect(seen.scale).toBe(4);
  });
});

describe("numbers under the hand", () => {
  test.each([
    ["12", "length", "mm", 12],
    ["12", "length", "cm", 120],
    ["1 in", "length", "mm", 25.4],
    ["1,5cm", "length", "mm", 15],
    ["−3", "length", "mm", -3],
    ["25°", "angle", "mm", 25],
    ["25", "angle", "in", 25],
    ["2 mm", "count", "mm", null],
    ["12°", "length", "mm", null],
    ["2 * 3", "length", "mm", null],
    ["petals", "count", "mm", null],
  ] as const)("“%s” as %s on a sheet in %s is %s", (text, quantity, unit, value) => {
    expect(parseMeasure(text, quantity, unit)).toBe(value);
  });

  test("steps are whole, without the dust of binary fractions; Shift takes ten, Alt a tenth", () => {
    expect(quantised(0.1 + 0.2, 0.1, 1, false)).toBe(0.3);
    expect(quantised(7.4, 1, 0.1, true)).toBe(7);
    expect(quantised(7.44, 1, 0.1, false)).toBe(7.4);
    expect(coarseness({ shiftKey: true, altKey: false })).toEqual({ times: 10, fineness: 1 });
    expect(coarseness({ shiftKey: false, altKey: true })).toEqual({ times: 0.1, fineness: 0.1 });
  });
});

test("the wall tells sizes in the sheet's unit, by the core's own factors", () => {
  expect(MILLIMETRES).toEqual(MILLIMETRES_PER);
  expect(sizeWords({ width: 254, height: 127, unit: "in" })).toBe("10 × 5 in");
});
