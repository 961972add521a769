import { describe, expect, test } from "@jest/globals";
import {
  buildScene,
  dimensionsOf,
  forgetPart,
  measured,
  measuredCopy,
  placesToSnap,
  writeDesign,
  type Design,
} from "../src";
import { pointOfAnchor } from "../src/scene/dimensions";
import { designWith, partDesign } from "./testDesign";
import { partOf } from "./scenes";

const SHEET = { left: -500, top: -500, right: 500, bottom: 500 };

describe("measures", () => {
  test("distance and angle from place to place, 0° up and clockwise, across and down", () => {
    expect(measured({ x: 10, y: 20 }, { x: 13, y: 24 })).toEqual({
      distance: 5,
      // To the right and down: 90° and atan(4/3) further.
      angle: expect.closeTo(143.130102, 6),
      across: 3,
      down: 4,
    });
    expect(measured({ x: 0, y: 0 }, { x: -7, y: 0 }).angle).toBe(270);
    expect(measured({ x: 1, y: 1 }, { x: 1, y: 1 })).toEqual({ distance: 0, angle: 0, across: 0, down: 0 });
  });

  test("area and outline of one copy as it stands: sized, with a hole, of a line only its length", () => {
    const copyOf = (motif: object, rules: object[] = [], more: object = {}) =>
      measuredCopy(partOf(partDesign(motif, rules, more)), 0);
    expect(copyOf({ kind: "rectangle", width: 20, height: 30, at: { size: 2, turn: 31 } })).toEqual({
      name: "a",
      area: expect.closeTo(2400, 6),
      length: expect.closeTo(200, 6),
    });
    const ring = copyOf({ kind: "ring", outer: 10, inner: 6 });
    expect(ring?.area).toBeCloseTo(Math.PI * 64, 0);
    expect(ring?.length).toBeCloseTo(2 * Math.PI * 16, 1);
    expect(copyOf({ kind: "line", length: 42 })).toMatchObject({ area: 0, length: expect.closeTo(42, 6) });
    expect(measuredCopy(partOf(partDesign({ kind: "disc" })), 5)).toBeNull();
  });

  test("every place a hand is drawn to but crossings can be held on to, and is found again", () => {
    const { parts } = buildScene(
      designWith({
        parts: [
          { id: "a", motif: { kind: "star", outer: 20, inner: 9 }, rules: [{ kind: "ring", count: 5, radius: 40 }] },
          { id: "b", motif: { kind: "wave" }, rules: [{ kind: "turn", count: 3 }] },
          { id: "c", motif: { kind: "ring" } },
        ],
      }),
    );
    const { places } = placesToSnap(parts, SHEET);
    expect(places.length).toBeGreaterThan(100);
    for (const { at, anchor, kind } of places) {
      expect(anchor === null).toBe(kind === "crossing");
      if (!anchor) continue;
      const found = pointOfAnchor(parts, { ...anchor, x: 0, y: 0 });
      expect(found?.x).toBeCloseTo(at.x, 9);
      expect(found?.y).toBeCloseTo(at.y, 9);
    }
  });

  const held = (width: number): Design =>
    designWith({
      parts: [{ id: "a", motif: { kind: "rectangle", width, height: 30 } }],
      guides: [
        {
          dimension: {
            from: { part: "a", index: 0, x: -10 },
            to: { part: "a", index: 3, x: 10 },
          },
        },
        { dimension: { from: { x: 0, y: 0 }, to: { x: 50, y: 0 } } },
      ],
    });

  test("one that is left lying follows what it holds on to, and survives a round trip", () => {
    const widths = [20, 36].map((width) => {
      const [own, fixed] = dimensionsOf(buildScene(held(width)));
      expect(fixed).toEqual({ guide: 1, from: { x: 0, y: 0 }, to: { x: 50, y: 0 } });
      return own && measured(own.from, own.to).distance;
    });
    expect(widths).toEqual([20, 36]);
    expect(JSON.parse(writeDesign(held(20))).guides[1]).toEqual({ dimension: { from: {}, to: { x: 50 } } });
  });

  test("where its part is gone it stays where it was", () => {
    const design = held(20);
    const { guides } = forgetPart(design, "a");
    const [left] = dimensionsOf(buildScene({ ...design, parts: [], guides }));
    expect(left).toEqual({ guide: 0, from: { x: -10, y: 0 }, to: { x: 10, y: 0 } });
  });
});
