import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, LINK_ROLES, type LinkReport } from "../src";
import { designWith, partDesign } from "./testDesign";
import { feetOf, partOf } from "./scenes";
import { members } from "./randomMembers";

function linksOf(rule: object): readonly LinkReport[] {
  return (
    buildScene(partDesign({ kind: "petal" }, [rule]))
      .parts[0]?.geometry.links()
      .get(0) ?? []
  );
}
const numbersOf = (rule: object) =>
  linksOf(rule).map(({ count, spacing, span, follows }) => [count, spacing, span, follows]);

describe("count, spacing and span: two are held, the third follows", () => {
  test("turn", () => {
    expect(numbersOf({ kind: "turn", count: 8 })).toEqual([[8, 45, 360, "spacing"]]);
    expect(numbersOf({ kind: "turn", count: 14, angle: 25 })).toEqual([[14, 25, 350, "span"]]);
    expect(numbersOf({ kind: "turn", count: 5, span: 90 })).toEqual([[5, 18, 90, "spacing"]]);
    expect(numbersOf({ kind: "turn", count: 99, angle: 25, span: 360 })).toEqual([[14, 25, 360, "count"]]);
  });

  test("ring, closed and open", () => {
    expect(numbersOf({ kind: "ring", count: 9 })).toEqual([[9, 40, 360, "spacing"]]);
    expect(numbersOf({ kind: "ring", count: 4, arc: 90 })).toEqual([[4, 30, 90, "spacing"]]);
    expect(numbersOf({ kind: "ring", count: 4, apart: 20 })).toEqual([[4, 20, 60, "span"]]);
    expect(numbersOf({ kind: "ring", apart: 50, arc: 360 })).toEqual([[7, 50, 360, "count"]]);
    expect(linksOf({ kind: "ring", apart: 50, arc: 360 })[0]?.short).toBe(10);
    expect(numbersOf({ kind: "ring", apart: 30, arc: 100 })).toEqual([[4, 30, 100, "count"]]);
  });

  test("grid, its columns and its rows", () => {
    const rectangle = { kind: "grid", lattice: "rectangle", columns: 5, rows: 3, pitch: { x: 10, y: 20 } };
    expect(numbersOf(rectangle)).toEqual([
      [5, 10, 40, "span"],
      [3, 20, 40, "span"],
    ]);
    expect(numbersOf({ ...rectangle, width: 60 })[0]).toEqual([5, 15, 60, "spacing"]);
    expect(numbersOf({ ...rectangle, width: 65, widthSets: "columns" })[0]).toEqual([7, 10, 65, "count"]);
    expect(numbersOf({ ...rectangle, height: 30 })[1]).toEqual([3, 15, 30, "spacing"]);
    const feet = feetOf(partOf(partDesign({ kind: "petal" }, [{ ...rectangle, width: 60, height: 30 }])));
    expect(feet[0]).toEqual({ x: -30, y: -15 });
    expect(feet.at(-1)).toEqual({ x: 30, y: 15 });
  });

  test("border", () => {
    expect(numbersOf({ kind: "border", count: 8 })).toEqual([[8, 24, 192, "span"]]);
    expect(numbersOf({ kind: "border", count: 8, length: 100 })).toEqual([[8, 12.5, 100, "spacing"]]);
    expect(numbersOf({ kind: "border", pitch: 24, length: 100 })).toEqual([[4, 25, 100, "count"]]);
  });

  test("letting another number follow changes no copy", () => {
    const rule = fc.oneof(
      fc.record({ kind: fc.constant("turn"), count: fc.integer({ min: 1, max: 40 }) }),
      fc.record({
        kind: fc.constant("turn"),
        count: fc.integer({ min: 1, max: 14 }),
        angle: fc.integer({ min: 1, max: 25 }),
      }),
      fc.record({ kind: fc.constant("ring"), count: fc.integer({ min: 2, max: 40 }) }),
      fc.record({
        kind: fc.constant("ring"),
        count: fc.integer({ min: 2, max: 40 }),
        arc: fc.integer({ min: 5, max: 355 }),
      }),
      fc.record({
        kind: fc.constant("border"),
        count: fc.integer({ min: 1, max: 40 }),
        pitch: fc.integer({ min: 3, max: 60 }),
      }),
      fc.record({
        kind: fc.constant("grid"),
        lattice: fc.constantFrom("rectangle", "brick", "square", "hex"),
        columns: fc.integer({ min: 2, max: 9 }),
        rows: fc.integer({ min: 2, max: 9 }),
        pitch: fc.record({ x: fc.integer({ min: 3, max: 30 }), y: fc.integer({ min: 3, max: 30 }) }),
      }),
      fc.record({ kind: fc.constant("along"), path: fc.constant("line"), count: fc.integer({ min: 2, max: 30 }) }),
    );
    const partWith = (fields: object) =>
      partOf(
        designWith({
          parts: [
            { id: "line", motif: { kind: "disc" } },
            { id: "a", motif: { kind: "petal" }, rules: [fields] },
          ],
        }),
      );
    fc.assert(
      fc.property(rule, fc.constantFrom(...LINK_ROLES), fc.nat(), (fields, role, which) => {
        const before = partWith(fields);
        const links = before.geometry.links().get(0) ?? [];
        const link = links[which % links.length];
        if (!link) return false;
        const changed = Object.fromEntries(
          Object.entries({ ...fields, ...link.letFollow[role] }).filter(([, value]) => value !== undefined),
        );
        const after = partWith(changed);
        const now = (after.geometry.links().get(0) ?? [])[which % links.length];
        const [was, is] = [feetOf(before), feetOf(after)];
        return (
          now?.follows === role &&
          was.length === is.length &&
          was.every(({ x, y }, copy) => Math.hypot(x - (is[copy]?.x ?? NaN), y - (is[copy]?.y ?? NaN)) < 1e-3)
        );
      }),
      { numRuns: members(150) },
    );
  });

  test("closing leaves nothing short", () => {
    for (const rule of [
      { kind: "turn", count: 14, angle: 25 },
      { kind: "ring", apart: 50, arc: 360 },
    ]) {
      const [link] = linksOf(rule);
      const closed = Object.fromEntries(
        Object.entries({ ...rule, ...link?.close }).filter(([, value]) => value !== undefined),
      );
      expect(linksOf({ kind: rule.kind, ...closed })[0]).toMatchObject({ short: 0, count: link?.count });
    }
  });
});

describe("one of each", () => {
  test("copies that only repeat another are left out, and the rest keep their numbers", () => {
    const rules = [{ kind: "turn", count: 24, angle: 30 }];
    const all = partOf(partDesign({ kind: "petal" }, rules));
    const once = partOf(partDesign({ kind: "petal" }, rules, { oneEach: true }));
    expect(all.geometry.placements.count).toBe(24);
    expect(once.geometry.placements.count).toBe(12);
    expect(
      partOf(partDesign({ kind: "disc" }, [{ kind: "turn", count: 9 }], { oneEach: true })).geometry.placements.count,
    ).toBe(1);
  });
});
