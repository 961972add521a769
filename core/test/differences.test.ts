import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { differencesBetween, readDesign, toFile, withDifference, type Design } from "../src";
import { DEMO } from "./demoDesigns";
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
      { part: "a", at: ["rules"] },
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

  test("equals have none; all of them taken over make the one the other, for any two designs shipped", () => {
    const design = fc.constantFrom(...DEMO);
    fc.assert(
      fc.property(design, design, (from, to) => {
        expect(differencesBetween(from, from)).toEqual([]);
        expect(all(from, to)).toEqual(to);
      }),
      { numRuns: 60 },
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
      { numRuns: 40 },
    );
  });
});
