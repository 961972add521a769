import { expect, test } from "@jest/globals";
import { beginsPlace, typedPlace } from "@/desk/stage/draw/typedPlace";

test("a place is typed as it is told: across and down, or how far on at an angle, in the sheet's unit", () => {
  expect(typedPlace("12, -30", null, 1)).toEqual({ x: 12, y: -30 });
  expect(typedPlace(" -9.5 .25 ", null, 1)).toEqual({ x: -9.5, y: 0.25 });
  expect(typedPlace("1;2", null, 25.4)).toEqual({ x: 25.4, y: 50.8 });
  const on = typedPlace("10 at 90", { x: 5, y: 5 }, 1);
  expect(on?.x).toBeCloseTo(15, 9);
  expect(on?.y).toBeCloseTo(5, 9);
  expect(typedPlace("2@0", null, 10)).toEqual({ x: 0, y: -20 });
});

test("what is no place is none", () => {
  for (const text of ["", "12", "a, b", "1, 2, 3", "1 at", "--1, 2"]) expect(typedPlace(text, null, 1)).toBeNull();
  expect(["-", "7", "."].every(beginsPlace)).toBe(true);
  expect(["c", " ", "Enter", "ArrowUp"].some(beginsPlace)).toBe(false);
});
