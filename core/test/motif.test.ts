import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { boxOfPath, buildScene, designResolver, MOTIFS, type Path } from "../src";
import { circleSegments } from "../src/geometry/arc";
import { pieceOf, pointAt, tangentAt, type Cubic } from "../src/geometry/cubic";
import { areaOfPath, segmentsOf, subpathOf } from "../src/geometry/path";
import { partDesign } from "./testDesign";

function outlineOf(motif: object): Path {
  const [part] = buildScene(partDesign(motif)).parts;
  if (!part) throw new Error("no part");
  return part.geometry.path;
}

/** Greatest and least distance of an outline from a centre. */
function reachOf(path: Path, centre = { x: 0, y: 0 }): [least: number, greatest: number] {
  const distances = path.flatMap((subpath) =>
    segmentsOf(subpath).flatMap((segment) =>
      Array.from({ length: 65 }, (_, k) => {
        const { x, y } = pointAt(segment, k / 64);
        return Math.hypot(x - centre.x, y - centre.y);
      }),
    ),
  );
  return [Math.min(...distances), Math.max(...distances)];
}

describe("curves", () => {
  test("a circle of eight segments is off its radius by less than 5e-6 of it", () => {
    const [least, greatest] = reachOf([subpathOf(circleSegments(100), true)]);
    expect(Math.abs(least - 100)).toBeLessThan(5e-4);
    expect(Math.abs(greatest - 100)).toBeLessThan(5e-4);
  });

  test("a piece of a cubic is the same curve, and boxes reach exactly to where curves turn", () => {
    const point = fc.record({
      x: fc.double({ min: -50, max: 50, noNaN: true }),
      y: fc.double({ min: -50, max: 50, noNaN: true }),
    });
    fc.assert(
      fc.property(point, point, point, point, fc.double({ min: 0, max: 1, noNaN: true }), (p, q, r, s, t) => {
        const whole: Cubic = [p, q, r, s];
        const piece = pieceOf(whole, t * 0.4, 0.4 + t * 0.6);
        const direct = pointAt(whole, t * 0.4 + 0.5 * (0.4 + t * 0.2));
        const through = pointAt(piece, 0.5);
        const box = boxOfPath([subpathOf([whole], false)]);
        const samples = Array.from({ length: 400 }, (_, k) => pointAt(whole, k / 399));
        return (
          Math.hypot(direct.x - through.x, direct.y - through.y) < 1e-9 &&
          samples.every(
            ({ x, y }) =>
              x >= box.left - 1e-9 && x <= box.right + 1e-9 && y >= box.top - 1e-9 && y <= box.bottom + 1e-9,
          ) &&
          Math.abs(Math.max(...samples.map(({ x }) => x)) - box.right) < 0.02 &&
          Math.abs(Math.min(...samples.map(({ y }) => y)) - box.top) < 0.02
        );
      }),
    );
  });
});

describe("motifs", () => {
  test("areas are those of the formulas, counted clockwise", () => {
    expect(areaOfPath(outlineOf({ kind: "disc", radius: 10 }))).toBeCloseTo(100 * Math.PI, 2);
    expect(areaOfPath(outlineOf({ kind: "ring", outer: 10, inner: 6 }))).toBeCloseTo(64 * Math.PI, 2);
    expect(areaOfPath(outlineOf({ kind: "ellipse", rx: 4, ry: 9 }))).toBeCloseTo(36 * Math.PI, 2);
    expect(areaOfPath(outlineOf({ kind: "rectangle", width: 8, height: 5 }))).toBeCloseTo(40, 9);
    expect(areaOfPath(outlineOf({ kind: "rectangle", width: 8, height: 5, corner: 2 }))).toBeCloseTo(
      40 - (16 - 4 * Math.PI),
      3,
    );
    expect(areaOfPath(outlineOf({ kind: "polygon", sides: 6, radius: 10 }))).toBeCloseTo(150 * Math.sqrt(3), 9);
    expect(areaOfPath(outlineOf({ kind: "star", points: 5, outer: 10, inner: 4 }))).toBeCloseTo(
      5 * 10 * 4 * Math.sin(Math.PI / 5),
      9,
    );
  });

  test("a polygon's corners are rounded with the radius asked for, up to its inscribed circle", () => {
    // Rounding a square's corners by r takes (4 − π)·r² from its area.
    const square = { kind: "polygon", sides: 4, radius: 10 * Math.SQRT2, start: 45 };
    expect(areaOfPath(outlineOf({ ...square, corner: 3 }))).toBeCloseTo(400 - (4 - Math.PI) * 9, 3);
    const [least, greatest] = reachOf(outlineOf({ ...square, corner: 500 }));
    expect(least).toBeCloseTo(10, 4);
    expect(greatest).toBeCloseTo(10, 4);
  });

  test("a star's tips and inner corners are rounded, bowed edges too, without leaving the figure's symmetry", () => {
    for (const bulge of [0, 0.2, -0.2]) {
      const path = outlineOf({ kind: "star", points: 7, outer: 20, inner: 9, corner: 1.5, bulge });
      const sharp = outlineOf({ kind: "star", points: 7, outer: 20, inner: 9, bulge });
      expect(reachOf(path)[1]).toBeLessThan(reachOf(sharp)[1]);
      expect(reachOf(path)[0]).toBeGreaterThan(reachOf(sharp)[0] - 1e-9);
      const box = boxOfPath(path);
      expect(box.left).toBeCloseTo(-box.right, 6);
    }
  });

  test("bulge bows a star's edges outwards", () => {
    const area = (bulge: number) => areaOfPath(outlineOf({ kind: "star", points: 5, bulge }));
    expect(area(0.3)).toBeGreaterThan(area(0));
    expect(area(-0.3)).toBeLessThan(area(0));
  });

  test("a petal stands on its foot, is as long and wide as it says, widest where it says", () => {
    const box = boxOfPath(outlineOf({ kind: "petal", length: 40, width: 16, widest: 0.7 }));
    expect(box.bottom).toBeCloseTo(0, 12);
    expect(box.top).toBeCloseTo(-40, 12);
    expect(box.right - box.left).toBeCloseTo(16, 12);
    const [, belly] = segmentsOf(
      outlineOf({ kind: "petal", length: 40, width: 16, widest: 0.7 })[0] ?? { closed: true, coordinates: [] },
    );
    expect(belly?.[0]).toEqual({ x: -8, y: -28 });
  });

  test("a pointed ellipse keeps its size and loses area", () => {
    const pointed = outlineOf({ kind: "ellipse", rx: 4, ry: 9, ends: "pointed" });
    expect(boxOfPath(pointed)).toEqual({ left: -4, top: -9, right: 4, bottom: 9 });
    expect(areaOfPath(pointed)).toBeLessThan(36 * Math.PI * 0.9);
  });

  const ready = MOTIFS.filter(({ origin }) => origin === "ready");

  test.each(ready.map(({ kind, open }) => [kind, open] as const))(
    "%s is finite, and closed unless it is a line",
    (kind, open) => {
      const path = outlineOf({ kind });
      expect(path.length).toBeGreaterThan(0);
      for (const { closed, coordinates } of path) {
        expect(closed).toBe(!open);
        expect(coordinates.every(Number.isFinite)).toBe(true);
        if (!closed) continue;
        const [x = NaN, y = NaN] = coordinates;
        const [endX = NaN, endY = NaN] = coordinates.slice(-2);
        expect(Math.hypot(x - endX, y - endY)).toBeLessThan(1e-9);
      }
    },
  );

  test("a leaf's midrib bows by its bend, a drop's foot is a half circle", () => {
    const leaf = outlineOf({ kind: "leaf", length: 40, width: 16, bend: 0.5 });
    const box = boxOfPath(leaf);
    expect([box.top, box.bottom].map((side) => Math.round(side * 1e9) / 1e9)).toEqual([-40, 0]);
    expect(box.right + box.left).toBeGreaterThan(15);
    // The outline runs on smoothly where it is widest.
    const [up, down] = [leaf.flatMap(segmentsOf).slice(0, 2), leaf.flatMap(segmentsOf).slice(2, 4)];
    for (const [first, second] of [up, down]) {
      if (!first || !second) throw new Error("a side is missing");
      const [into, out] = [tangentAt(first, 1), tangentAt(second, 0)];
      expect(into.x * out.y - into.y * out.x).toBeCloseTo(0, 9);
      expect(into.x * out.x + into.y * out.y).toBeCloseTo(1, 9);
    }
    const drop = outlineOf({ kind: "drop", length: 40, width: 20 });
    expect(boxOfPath(drop)).toEqual({ left: -10, top: -40, right: 10, bottom: 0 });
    const below = drop.flatMap(segmentsOf).flatMap((segment) => [0, 0.25, 0.5, 0.75].map((t) => pointAt(segment, t)));
    for (const { x, y } of below.filter(({ y }) => y > -10)) expect(Math.hypot(x, y + 10)).toBeCloseTo(10, 1);
  });

  test("line, arc and sector are what their numbers say", () => {
    const [only] = segmentsOf(
      outlineOf({ kind: "line", length: 30, angle: 90 })[0] ?? { closed: false, coordinates: [] },
    );
    expect(only?.[3].x).toBeCloseTo(30, 12);
    expect(only?.[3].y).toBeCloseTo(0, 12);
    const [least, greatest] = reachOf(outlineOf({ kind: "arc", radius: 25, from: -40, to: 200 }));
    expect([least, greatest].map((radius) => Math.abs(radius - 25)).every((off) => off < 25 * 5e-6)).toBe(true);
    const sector = { kind: "sector", outer: 20, inner: 8, from: 10, to: 100 };
    expect(areaOfPath(outlineOf(sector))).toBeCloseTo((Math.PI / 4) * (400 - 64), 2);
    expect(areaOfPath(outlineOf({ ...sector, inner: 0 }))).toBeCloseTo((Math.PI / 4) * 400, 2);
  });

  test("a sine wave keeps to its formula within a hundredth of a millimetre", () => {
    const [length, height, waves] = [60, 20, 4];
    for (const segment of outlineOf({ kind: "wave", length, height, waves }).flatMap(segmentsOf)) {
      for (const t of [0, 0.2, 0.5, 0.7, 1]) {
        const { x, y } = pointAt(segment, t);
        expect(Math.abs(x - 10 * Math.sin((2 * Math.PI * waves * -y) / length))).toBeLessThan(0.01);
      }
    }
    const square = boxOfPath(outlineOf({ kind: "wave", length, height, waves, shape: "square" }));
    expect(square).toEqual({ left: -10, top: -60, right: 10, bottom: 0 });
  });

  test.each([
    ["even", (turns: number) => 4 + 6 * turns],
    ["growing", (turns: number) => 4 * 1.5 ** turns],
    ["sunflower", (turns: number) => Math.sqrt(16 + 36 * turns)],
  ] as const)("the %s curve's radius follows its formula at every direction", (form, radiusAt) => {
    const path = outlineOf({
      kind: "curve",
      form,
      inner: 4,
      pitch: 6,
      growth: 1.5,
      turns: 5,
      start: 30,
      hand: "anticlockwise",
    });
    let turned = 0;
    let last = 30;
    for (const segment of path.flatMap(segmentsOf)) {
      for (const t of [0, 0.3, 0.6, 0.9]) {
        const { x, y } = pointAt(segment, t);
        const direction = (Math.atan2(x, -y) * 180) / Math.PI;
        turned += ((last - direction + 540) % 360) - 180;
        last = direction;
        const radius = Math.hypot(x, y);
        expect(Math.abs(radius - radiusAt(turned / 360))).toBeLessThan(2e-4 * radius);
      }
    }
    expect(turned).toBeGreaterThan(5 * 360 - 5);
  });

  test("every handle of a ready shape stands where its own number puts it, and gives that number back", () => {
    for (const definition of ready) {
      const stored = { kind: definition.kind, ...(definition.fields.start && { start: 20 }) };
      const handles = definition
        .prepare(
          stored,
          designResolver(() => undefined),
          "",
        )
        .handles();
      const numbers = Object.entries(definition.fields).filter(([, field]) => field.type === "number");
      const optional = definition.kind === "curve" ? 2 : 0;
      expect(handles.length).toBeGreaterThanOrEqual(numbers.length - optional);
      for (const { field, at, pull } of handles) {
        const known = definition.fields[field];
        const standard = field === "start" ? 20 : known?.type === "number" ? known.default : NaN;
        expect([definition.kind, field, Math.round(pull(at) * 1e6) / 1e6]).toEqual([definition.kind, field, standard]);
      }
    }
  });

  test("the motif's own place moves, turns and sizes it before any rule", () => {
    const box = boxOfPath(outlineOf({ kind: "rectangle", width: 4, height: 10, at: { x: 5, turn: 90, size: 2 } }));
    expect([box.left, box.top, box.right, box.bottom].map((side) => Math.round(side * 1e9) / 1e9)).toEqual([
      5, -4, 25, 4,
    ]);
  });
});
