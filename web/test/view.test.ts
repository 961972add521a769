import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Point } from "@twin-petal/core";
import { fitted, panned, toScreen, toSheet, zoomed, type Size, type View } from "@/paint/view";
import { arrowMove } from "@/ui/arrows";
import { coarseness, quantised } from "@/ui/stepping";

const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const points: fc.Arbitrary<Point> = fc.record({ x: within(-900, 900), y: within(-900, 900) });
const views: fc.Arbitrary<View> = fc.record({ x: within(-500, 500), y: within(-500, 500), scale: within(0.05, 80) });
const sizes: fc.Arbitrary<Size> = fc.record({ width: within(200, 4_000), height: within(200, 3_000) });

const near = ({ x, y }: Point, digits = 6) => ({ x: expect.closeTo(x, digits), y: expect.closeTo(y, digits) });

describe("what of the sheet is seen", () => {
  test("a place on the screen is a place on the sheet, and back", () => {
    fc.assert(
      fc.property(views, sizes, points, (view, size, point) => {
        expect(toSheet(view, size, toScreen(view, size, point))).toEqual(near(point));
      }),
    );
  });

  test("the view's own point is in the middle, and a millimetre is as many pixels as its scale says", () => {
    const view = { x: 30, y: -20, scale: 4 };
    const size = { width: 800, height: 600 };
    expect(toScreen(view, size, { x: 30, y: -20 })).toEqual({ x: 400, y: 300 });
    expect(toScreen(view, size, { x: 31, y: -18 })).toEqual({ x: 404, y: 308 });
  });

  test("what is under the hand stays under it while the view is pulled", () => {
    fc.assert(
      fc.property(views, sizes, points, points, (view, size, from, to) => {
        const held = toSheet(view, size, from);
        const moved = panned(view, to.x - from.x, to.y - from.y);
        expect(toScreen(moved, size, held)).toEqual(near(to, 5));
        expect(moved.scale).toBe(view.scale);
      }),
    );
  });

  test("what is under the pointer stays under it while the view is enlarged, and there and back is where it was", () => {
    fc.assert(
      fc.property(views, sizes, points, within(0.2, 5), (view, size, at, factor) => {
        const held = toSheet(view, size, at);
        const larger = zoomed(view, size, factor, at);
        expect(larger.scale).toBeCloseTo(view.scale * factor, 9);
        expect(toScreen(larger, size, held)).toEqual(near(at, 5));
        const back = zoomed(larger, size, 1 / factor, at);
        expect(back).toEqual({ ...near(view, 5), scale: expect.closeTo(view.scale, 9) });
      }),
    );
  });

  test("enlarging comes to an end both ways, and the point under the pointer stays there too", () => {
    const size = { width: 800, height: 600 };
    const at = { x: 100, y: 500 };
    for (const factor of [1e9, 1e-9]) {
      const view = { x: 3, y: 4, scale: 2 };
      const held = toSheet(view, size, at);
      const end = zoomed(view, size, factor, at);
      expect(Number.isFinite(end.scale) && end.scale > 0).toBe(true);
      expect(zoomed(end, size, factor, at).scale).toBe(end.scale);
      expect(toScreen(end, size, held)).toEqual(near(at, 5));
    }
  });

  test("a box that is shown whole lies within the room around it, and touches it on two sides", () => {
    fc.assert(
      fc.property(points, within(1, 900), within(1, 900), sizes, ({ x, y }, across, down, size) => {
        const box = { left: x, top: y, right: x + across, bottom: y + down };
        const room = 36;
        const view = fitted(box, size, room);
        const from = toScreen(view, size, { x: box.left, y: box.top });
        const to = toScreen(view, size, { x: box.right, y: box.bottom });
        const margins = [from.x, from.y, size.width - to.x, size.height - to.y];
        for (const margin of margins) expect(margin).toBeGreaterThan(room - 1e-6);
        expect(Math.min(...margins)).toBeCloseTo(room, 5);
        // The box stands in the middle.
        expect(margins[0]).toBeCloseTo(margins[2] ?? NaN, 5);
        expect(margins[1]).toBeCloseTo(margins[3] ?? NaN, 5);
      }),
    );
  });

  test("a window smaller than the room still gives a view", () => {
    const view = fitted({ left: 0, top: 0, right: 100, bottom: 50 }, { width: 40, height: 40 }, 36);
    expect(view).toMatchObject({ x: 50, y: 25 });
    expect(view.scale).toBeGreaterThan(0);
  });
});

describe("steps of a number", () => {
  const plain = { shiftKey: false, altKey: false };

  test("Shift takes ten at a time, Alt a tenth, Shift before Alt", () => {
    expect(coarseness(plain).times).toBe(1);
    expect(coarseness({ ...plain, shiftKey: true }).times).toBe(10);
    expect(coarseness({ ...plain, altKey: true }).times).toBe(0.1);
    expect(coarseness({ shiftKey: true, altKey: true }).times).toBe(10);
  });

  test("a value becomes a whole number of steps, never further than half a step away, without dust", () => {
    fc.assert(
      fc.property(within(-1_000, 1_000), fc.constantFrom(0.1, 0.25, 0.5, 1, 5), (value, step) => {
        const brought = quantised(value, step, 1, false);
        expect(Math.abs(brought - value)).toBeLessThanOrEqual(step / 2 + 1e-6);
        expect(brought / step).toBeCloseTo(Math.round(brought / step), 5);
        expect(String(brought).length).toBeLessThan(9);
        expect(quantised(brought, step, 1, false)).toBe(brought);
      }),
    );
  });

  test("fine steps are a tenth, but a count stays whole", () => {
    expect(quantised(0.30000000000000004, 1, 0.1, false)).toBe(0.3);
    expect(quantised(7.26, 1, 0.1, true)).toBe(7);
    expect(quantised(7.26, 5, 0.1, true)).toBe(7);
    expect(quantised(7.26, 5, 1, true)).toBe(5);
  });

  test("arrow keys move as the arrows point, y down; other keys do not", () => {
    const press = (key: string, held: object = {}) => arrowMove({ key, ...plain, ...held }, 2);
    expect(press("ArrowLeft")).toEqual({ x: -2, y: 0 });
    expect(press("ArrowDown")).toEqual({ x: 0, y: 2 });
    expect(press("ArrowUp", { shiftKey: true })).toEqual({ x: 0, y: -20 });
    expect(press("ArrowRight", { altKey: true })).toEqual({ x: expect.closeTo(0.2, 12), y: 0 });
    expect(press("a")).toBeNull();
  });
});
