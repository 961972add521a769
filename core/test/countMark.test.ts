import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { countPulled, placeOfCount, polar, type CountMark } from "../src";
import { partOf } from "./scenes";
import { partDesign } from "./testDesign";

/** The mark of the count of a part's only rule. */
function markOf(rule: object): CountMark | undefined {
  const part = partOf(partDesign({ kind: "disc", radius: 4 }, [rule]));
  return part.geometry.marks().flatMap(({ mark }) => (mark.kind === "count" ? [mark] : []))[0];
}

/** What the count comes to when its handle is pulled by so many degrees. */
const pulledBy = (rule: object, degrees: number) => {
  const mark = markOf(rule);
  if (!mark) throw new Error("its count has no handle");
  const at = placeOfCount(mark);
  const [x, y] = [at.x - mark.centre.x, at.y - mark.centre.y];
  return countPulled(mark, polar(Math.hypot(x, y) * 0.8, (Math.atan2(x, -y) * 180) / Math.PI + degrees, mark.centre));
};

describe("the count of what stands around a point, pulled", () => {
  test("where copies divide a circle or an arc, the handle is at the second copy and sets how many divide it", () => {
    // 12 copies are 30° apart; 45° are 8, 20° are 18.
    for (const kind of ["ring", "turn"]) {
      expect(pulledBy({ kind, count: 12 }, 0)).toBe(12);
      expect(pulledBy({ kind, count: 12 }, 15)).toBe(8);
      expect(pulledBy({ kind, count: 12, start: 77 }, -10)).toBe(18);
    }
    // 90° by 4 copies from end to end: 30° apart; 45° leaves 3.
    expect(pulledBy({ kind: "ring", count: 4, arc: 90 }, 15)).toBe(3);
    expect(pulledBy({ kind: "ring", count: 4, arc: -90 }, -15)).toBe(3);
  });

  test("where the angle is held, it is at the last copy and more copies reach further, round more than once too", () => {
    expect(pulledBy({ kind: "turn", count: 14, angle: 25 }, 50)).toBe(16);
    expect(pulledBy({ kind: "turn", count: 14, angle: -25 }, 50)).toBe(12);
    expect(pulledBy({ kind: "turn", count: 40, angle: 25 }, 25)).toBe(41);
  });

  test("where the count follows it has none", () => {
    expect(markOf({ kind: "ring", apart: 10, arc: 120 })).toBeUndefined();
    expect(markOf({ kind: "ring", count: 1 })).toBeUndefined();
  });

  test("grasped and let go, it stays what it is", () => {
    const rule = fc.record({
      kind: fc.constantFrom("ring", "turn"),
      count: fc.integer({ min: 2, max: 300 }),
      start: fc.integer({ min: -400, max: 400 }),
    });
    const held = fc.double({ min: 1, max: 170, noNaN: true });
    fc.assert(
      fc.property(rule, fc.option(held, { nil: undefined }), fc.boolean(), (one, angle, back) => {
        const field = one.kind === "ring" ? "apart" : "angle";
        expect(pulledBy(angle === undefined ? one : { ...one, [field]: back ? -angle : angle }, 0)).toBe(one.count);
      }),
    );
  });
});
