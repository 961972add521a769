import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { differencesBetween, readDesign, toFile, withDifference, type Design } from "../src";
import { DEMO } from "./demoDesigns";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

const all = (from: Design, to: Design) => differencesBetween(from, to).reduce(withDifference, from);

describe("differences between designs", () => {
  test("single numbers are told where they are; what is of another kind as a whole; parts by their ids", () => {
    const own = (parts: readonly object[], more: object = {}) => designWith({ parts, ...more });
    const ring = (count: number) => ({ kind: "ring", count });
    const from = own([
      { id: "a", motif: { kind: "petal", length: 30 }, rules: [ring(14), { kind: "reflect" }] },
      { id: "b", motif: { kind: "disc" } },
    ]);
    const to = own(
      [
        { id: "c", motif: { kind: "star" } },
        { id: "a", motif: { kind: "petal", length: 30, tip: 0.4 }, rules: [ring(16), { kind: "reflect" }] },
      ],
      { sheet: { width: 120 } },
    );
    expect(differencesBetween(from, to)).toMatchObject([
      { kind: "value", part: null, at: ["sheet", "width"], before: 200, after: 120 },
      { kind: "value", part: "a", at: ["motif", "tip"], before: undefined, after: 0.4 },
      { kind: "value", part: "a", at: ["rules", 0, "count"], before: 14, after: 16 },
      { kind: "removed", part: "b" },
      { kind: "added", part: "c" },
      { kind: "order", before: ["a", "c"], after: ["c", "a"] },
    ]);
    const turned = own([{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "turn" }] }]);
    expect(differencesBetween(from, turned)).toMatchObject([
      { part: "a", at: ["motif"] },
      { kind: "removed", part: "a", at: ["rules", 1], before: { kind: "reflect" } },
      { kind: "removed", part: "a", at: ["rules", 0] },
      { kind: "added", part: "a", at: ["rules", 0], after: { kind: "turn" } },
      { kind: "removed", part: "b" },
    ]);
    // What followed a part that is taken out follows nothing.
    const led = own([
      { id: "line", motif: { kind: "line" } },
      { id: "a", motif: { kind: "disc" }, rules: [{ kind: "along", path: "line" }] },
    ]);
    const free = own([{ id: "a", motif: { kind: "disc" } }]);
    const gone = differencesBetween(led, free).find(({ kind }) => kind === "removed");
    expect(gone && readDesign(toFile(withDifference(led, gone))).problems).toEqual([]);
  });

  test("rules are matched by what they are: a new one, one that has gone and one that was moved are told as such", () => {
    const of = (...rules: readonly object[]) => designWith({ parts: [{ id: "a", motif: { kind: "petal" }, rules }] });
    const [ring, mirror, step, turn] = [
      { kind: "ring", count: 9 },
      { kind: "reflect" },
      { kind: "step", count: 4 },
      { kind: "turn", count: 5 },
    ];
    const told = (from: Design, to: Design) => differencesBetween(from, to).map(({ kind, at }) => [kind, ...at]);
    expect(told(of(ring, step), of(ring, mirror, { ...step, count: 7 }))).toEqual([
      ["value", "rules", 1, "count"],
      ["added", "rules", 1],
    ]);
    expect(told(of(ring, mirror, step), of(ring, step))).toEqual([["removed", "rules", 1]]);
    expect(told(of(ring, mirror, step), of(step, ring, mirror))).toEqual([["order", "rules"]]);
    expect(told(of(mirror, ring, turn), of({ ...turn, count: 6 }, step, mirror))).toEqual([
      ["value", "rules", 2, "count"],
      ["removed", "rules", 1],
      ["order", "rules"],
      ["added", "rules", 1],
    ]);
    // Named numbers by their names.
    const numbers = (...entries: readonly object[]) => designWith({ numbers: entries });
    const [n, m] = [
      { name: "n", value: 3 },
      { name: "m", value: 4 },
    ];
    expect(told(numbers(n), numbers(m, { ...n, value: 5 }))).toEqual([
      ["value", "numbers", 0, "value"],
      ["added", "numbers", 0],
    ]);
  });

  test("whatever was done to rules, all of it taken over gives the other, and each by itself is one difference less", () => {
    const rule = fc.constantFrom<object>(
      { kind: "ring", count: 2 },
      { kind: "ring", count: 3 },
      { kind: "reflect" },
      { kind: "step", count: 2 },
      { kind: "turn", count: 3 },
      { kind: "turn", count: 3, start: 30 },
    );
    const rules = fc.array(rule, { maxLength: 6 });
    const of = (list: readonly object[]) => designWith({ parts: [{ id: "a", motif: { kind: "petal" }, rules: list }] });
    fc.assert(
      fc.property(rules, rules, fc.nat(), (before, after, choice) => {
        const [from, to] = [of(before), of(after)];
        const found = differencesBetween(from, to);
        expect(all(from, to)).toEqual(to);
        expect(found.length > 0).toBe(JSON.stringify(before) !== JSON.stringify(after));
        const one = found[choice % Math.max(1, found.length)];
        if (!one) return;
        const next = withDifference(from, one);
        expect(readDesign(toFile(next)).problems).toEqual([]);
        expect(differencesBetween(next, to).length).toBeLessThan(found.length);
      }),
      { numRuns: members(400) },
    );
  });

  test("equals have none; all of them taken over make the one the other, for any two designs shipped", () => {
    const design = fc.constantFrom(...DEMO);
    fc.assert(
      fc.property(design, design, (from, to) => {
        expect(differencesBetween(from, from)).toEqual([]);
        expect(all(from, to)).toEqual(to);
      }),
      { numRuns: members(60) },
    );
  });

  test("one taken over by itself leaves a design that opens, and one difference less", () => {
    const changed = fc.record({
      design: fc.constantFrom(...DEMO.filter(({ parts }) => parts.length > 1)),
      name: fc.string({ minLength: 1, maxLength: 20 }),
      opacity: fc.double({ min: 0, max: 0.9, noNaN: true }),
      choice: fc.nat(),
    });
    fc.assert(
      fc.property(changed, ({ design, name, opacity, choice }) => {
        const parts = design.parts.toReversed().map((part, index) => {
          return index === choice % design.parts.length ? { ...part, name, finish: { ...part.finish, opacity } } : part;
        });
        const to = { ...design, name: `${design.name}!`, parts };
        const found = differencesBetween(design, to);
        const one = found[choice % found.length];
        if (!one) throw new Error("they do not differ");
        const next = withDifference(design, one);
        expect(readDesign(toFile(next)).problems).toEqual([]);
        expect(differencesBetween(next, to)).toHaveLength(found.length - 1);
      }),
      { numRuns: members(40) },
    );
  });
});
