import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { indexUnder, parseDesign, SceneBuilder, writeDesign, type Design } from "../src";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

const whole = (min: number, max: number) => fc.integer({ min, max });
const kind = <K extends string>(name: K) => fc.constant(name);
const part = fc.constantFrom("line", "area");

/** Any rule, with its numbers anywhere within reason. */
const rule = fc.oneof(
  fc.record({ kind: kind("turn"), count: whole(1, 9), start: whole(-90, 90) }),
  fc.record({ kind: kind("reflect"), angle: whole(-90, 90), keep: fc.boolean(), glide: whole(0, 9) }),
  fc.record({ kind: kind("step"), count: whole(1, 9), turn: whole(-90, 90), scale: fc.constantFrom(0.8, 1, 1.1) }),
  fc.record({ kind: kind("ring"), count: whole(1, 9), rings: whole(1, 3), growth: whole(0, 3), arc: whole(10, 360) }),
  fc.record({ kind: kind("spiral"), form: fc.constantFrom("even", "growing", "sunflower"), count: whole(1, 20) }),
  fc.record({
    kind: kind("grid"),
    columns: whole(1, 4),
    rows: whole(1, 4),
    group: fc.constantFrom("none", "p2gg", "p6"),
  }),
  fc.record({ kind: kind("grid"), fill: part, pitch: whole(12, 30) }),
  fc.record({ kind: kind("border"), group: fc.constantFrom("p1", "p2mg"), count: whole(1, 9) }),
  fc.record({ kind: kind("border"), path: part, count: whole(1, 9), bend: fc.boolean() }),
  fc.record({ kind: kind("along"), path: part, count: whole(1, 9), bend: fc.boolean() }),
  fc.record({ kind: kind("scatter"), region: part, count: whole(1, 20), gap: whole(1, 20), seed: whole(0, 99) }),
  fc.record({
    kind: kind("between"),
    count: whole(1, 5),
    to: fc.constantFrom({ kind: "disc" }, { kind: "star", at: { x: 9 } }),
  }),
  fc.record({
    kind: kind("vary"),
    size: fc.constantFrom("1 + t", "0.5 + 0.1 * mod(i, 3)"),
    turn: fc.constant("5 * i"),
  }),
);

type Written = { readonly kind: string };

const designOf = (rules: readonly Written[]): Design =>
  designWith({
    parts: [
      { id: "line", role: "guide", motif: { kind: "curve", turns: 2 } },
      { id: "area", role: "guide", motif: { kind: "disc", radius: 45 } },
      { id: "a", motif: { kind: "petal", length: 12 }, rules },
    ],
  });

const rules = fc.array<Written>(rule, { maxLength: 3 });
const design = rules.map(designOf);

const placementsOf = (builder: SceneBuilder, from: Design) =>
  builder.build(from).parts.find(({ id }) => id === "a")?.geometry;

describe("whatever the rules", () => {
  test("computing is deterministic and finite, and a changed design computes to what it computes to from nothing", () => {
    fc.assert(
      fc.property(fc.array(design, { minLength: 2, maxLength: 3 }), (designs) => {
        const live = new SceneBuilder();
        return designs.every((next) => {
          const changed = placementsOf(live, next);
          const fresh = placementsOf(new SceneBuilder(), next);
          if (!changed || !fresh) return false;
          return (
            changed.placements.matrices.every(Number.isFinite) &&
            changed.shapes.every(({ path }) => path.every(({ coordinates }) => coordinates.every(Number.isFinite))) &&
            isSameBytes(changed.placements.matrices, fresh.placements.matrices) &&
            JSON.stringify(changed.shapes) === JSON.stringify(fresh.shapes)
          );
        });
      }),
      { numRuns: members(12) },
    );
  });

  test("the count is the product of what each rule makes of one copy", () => {
    let counted = 0;
    fc.assert(
      fc.property(
        rules.filter(({ length }) => length > 0),
        (written) => {
          const each = written.map(madeOfOne);
          fc.pre(each.every((count) => count !== null));
          const placements = placementsOf(new SceneBuilder(), designOf(written))?.placements;
          counted += written.length;
          expect(placements?.count).toBe(each.reduce<number>((product, count) => product * (count ?? 1), 1));
        },
      ),
      { numRuns: members(12) },
    );
    expect(counted).toBeGreaterThanOrEqual(members(12));
  });

  test("copies come in order, all of copy 0 of the last rule first", () => {
    fc.assert(
      fc.property(design, (next) => {
        const placements = placementsOf(new SceneBuilder(), next)?.placements;
        if (!placements) return false;
        const { count } = placements;
        const indexes = Array.from({ length: count }, (_, copy) =>
          placements.spans.map((_, active) => indexUnder(placements, active, copy)).toReversed(),
        );
        const ascending = indexes.every((own, copy) => copy === 0 || isAfter(own, indexes[copy - 1] ?? []));
        return ascending;
      }),
      { numRuns: members(12) },
    );
  });

  test("a round trip through the file changes nothing", () => {
    fc.assert(
      fc.property(design, (next) => {
        expect(parseDesign(writeDesign(next)).design).toEqual(next);
      }),
      { numRuns: members(15) },
    );
  });
});

/** How many copies a rule makes of one, where its own numbers say so. */
function madeOfOne(rule: Written): number | null {
  const numberOf = (key: string) => Number(Reflect.get(rule, key));
  switch (rule.kind) {
    case "turn":
    case "step":
    case "spiral":
      return numberOf("count");
    case "vary":
      return 1;
    case "border":
      return "path" in rule || Reflect.get(rule, "group") !== "p1" ? null : numberOf("count");
    case "grid":
      return "fill" in rule || Reflect.get(rule, "group") !== "none" ? null : numberOf("columns") * numberOf("rows");
    default:
      // The others leave copies out, or make as many as there is room for.
      return null;
  }
}

function isSameBytes(a: Float64Array, b: Float64Array): boolean {
  return Buffer.from(a.buffer).equals(Buffer.from(b.buffer));
}

/** Whether indexes, the last rule's first, come later than others. */
function isAfter(own: readonly number[], before: readonly number[]): boolean {
  const differing = own.findIndex((index, rule) => index !== before[rule]);
  return differing < 0 ? own.length === 0 : (own[differing] ?? 0) > (before[differing] ?? 0);
}
