import { describe, expect, test } from "@jest/globals";
import { areaOfPath, boxOfPath } from "../src/geometry/path";
import { segmentsOf } from "../src/geometry/path";
import { tangentAt } from "../src/geometry/cubic";
import { designWith } from "./testDesign";
import { feetOf, matricesOf, outlinesOf, partOf } from "./scenes";

/** A part that runs along another part's line. */
const onLine = (line: object, rule: object, motif: object = { kind: "petal" }, at: object = {}) =>
  designWith({
    parts: [
      { id: "line", role: "guide", motif: line, at },
      { id: "a", motif, rules: [{ path: "line", ...rule }] },
    ],
  });

const CIRCLE = { kind: "disc", radius: 50 };
const along = (rule: object) => ({ kind: "along", ...rule });

describe("along", () => {
  test("a circle: the same copies as a ring of that radius", () => {
    const feet = feetOf(partOf(onLine(CIRCLE, along({ count: 9 }))));
    const ring = partOf(
      designWith({ parts: [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "ring", count: 9 }] }] }),
    );
    matricesOf(partOf(onLine(CIRCLE, along({ count: 9 })))).forEach((matrix, copy) => {
      matrix.forEach((entry, place) => expect(entry).toBeCloseTo(matricesOf(ring)[copy]?.[place] ?? NaN, 2));
    });
    expect(feet[1]?.x).toBeCloseTo(32.13938, 3);
  });

  test("by count, by pitch, by both, over a stretch of the line, and off it", () => {
    const straight = { kind: "line", length: 100, angle: 90 };
    const places = (rule: object) => feetOf(partOf(onLine(straight, along(rule)))).map(({ x }) => Number(x.toFixed(6)));
    expect(places({ count: 5 })).toEqual([0, 25, 50, 75, 100]);
    expect(places({ pitch: 30 })).toEqual([0, 30, 60, 90]);
    expect(places({ count: 3, pitch: 10 })).toEqual([0, 10, 20]);
    expect(places({ count: 3, from: 0.5, to: 0.7 })).toEqual([50, 60, 70]);
    expect(places({ pitch: 10, from: 0.5, to: 0.7, count: 99 })).toEqual([50, 60, 70]);
    const off = feetOf(partOf(onLine(straight, along({ count: 2, offset: 4 }))));
    expect(off.map(({ y }) => y)).toEqual([-4, -4]);
  });

  test("follows the line where its part stands, and is drawn again when that part changes", () => {
    const feet = feetOf(partOf(onLine(CIRCLE, along({ count: 4 }), { kind: "petal" }, { x: 20, y: 5, size: 0.5 })));
    expect(feet[1]?.x).toBeCloseTo(45, 6);
    expect(feet[1]?.y).toBeCloseTo(5, 4);
  });

  test("links: what a closed line is short of, and the fields that close it", () => {
    const part = partOf(onLine(CIRCLE, along({ pitch: 30 })));
    const [link] = part.geometry.links().get(0) ?? [];
    const length = 2 * Math.PI * 50;
    expect(link).toMatchObject({ count: 10, spacing: 30, follows: "count" });
    expect(link?.short).toBeCloseTo(length - 300, 2);
    expect(link?.close).toEqual({ count: 10, pitch: undefined, to: undefined });
  });

  test("bent to a circle: a strip becomes the sector of a ring, its area exact, its edges without kinks", () => {
    const strip = { kind: "rectangle", width: 40, height: 10 };
    const [outline = []] = outlinesOf(partOf(onLine(CIRCLE, along({ count: 3, bend: true }), strip)));
    // 40 mm of a circle of radius 50, from radius 50 to 60.
    expect(Math.abs(areaOfPath(outline))).toBeCloseTo(((40 / 50) * (60 ** 2 - 50 ** 2)) / 2, 1);
    for (const segment of outline.flatMap(segmentsOf)) {
      for (const { x, y } of [segment[0], segment[3]]) {
        const radius = Math.hypot(x, y);
        expect(radius).toBeGreaterThan(49.99);
        expect(radius).toBeLessThan(60.01);
      }
    }
  });

  test("bent along a spiral: neighbouring segments of a smooth motif leave each other in one direction", () => {
    const spiral = { kind: "curve", form: "even", inner: 10, pitch: 9, turns: 3 };
    const disc = { kind: "disc", radius: 3 };
    for (const outline of outlinesOf(
      partOf(onLine(spiral, along({ count: 12, bend: true, from: 0.1, to: 0.9 }), disc)),
    )) {
      const segments = outline.flatMap(segmentsOf);
      segments.forEach((segment, index) => {
        const next = segments[(index + 1) % segments.length] ?? segment;
        const [arrive, leave] = [tangentAt(segment, 1), tangentAt(next, 0)];
        expect(arrive.x * leave.x + arrive.y * leave.y).toBeGreaterThan(0.9999);
      });
    }
  });

  test("a part without a line leaves nothing, in words; one that is not there is a problem at the rule", () => {
    const empty = partOf(onLine({ kind: "drawn", paths: [] }, along({})));
    expect(empty.geometry.placements.count).toBe(1);
    expect(empty.geometry.notes.join()).toContain("has no line");
  });
});

describe("a border along a line", () => {
  test("is spread evenly round a rectangle, the nearest whole number of repeats", () => {
    const frame = { kind: "rectangle", width: 90, height: 60, corner: 10 };
    const around = 2 * (70 + 40) + 2 * Math.PI * 10;
    const part = partOf(onLine(frame, { kind: "border", group: "pm11", pitch: 20 }, { kind: "leaf" }));
    expect(part.geometry.placements.count).toBe(2 * Math.round(around / 20));
    const [link] = part.geometry.links().get(0) ?? [];
    expect(link).toMatchObject({ count: Math.round(around / 20), follows: "count", short: 0 });
    expect(link?.spacing).toBeCloseTo(around / Math.round(around / 20), 3);
    const box = boxOfPath(feetOf(part).map(({ x, y }) => ({ closed: false, coordinates: [x, y, x, y, x, y, x, y] })));
    expect(box.right).toBeCloseTo(45, 1);
    expect(box.top).toBeCloseTo(-60, 1);
  });

  test("bent: each repeat keeps its distance from the line", () => {
    const band = { kind: "rectangle", width: 10, height: 2, at: { y: -4 } };
    const part = partOf(onLine(CIRCLE, { kind: "border", group: "p11m", count: 12, bend: true }, band));
    const reaches = outlinesOf(part).map((outline) => {
      const radii = outline.flatMap(segmentsOf).map(([start]) => Math.hypot(start.x, start.y));
      return [Math.min(...radii), Math.max(...radii)].map((radius) => Number(radius.toFixed(1)));
    });
    expect(new Set(reaches.map(String))).toEqual(new Set(["54,56", "44,46"]));
  });
});
