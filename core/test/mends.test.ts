import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { designResolver, mendsOf, MOTIFS, RULES, type FieldTable, type StoredFields } from "../src";
import { members } from "./randomMembers";

const resolver = () => designResolver(() => undefined);

/** Anything the choices, switches, numbers and pairs of a kind may hold, each by itself within its limits. */
function storedOf(kind: string, table: FieldTable): fc.Arbitrary<StoredFields> {
  // What is so small that nothing fits within it has no mend.
  const within = ({ min, max, whole }: { min: number; max: number; whole: boolean }) => {
    const [least, most] = [Math.max(min > 0 && min < 1 ? 1 : min, -400), Math.min(max, 400)];
    if (whole) return fc.integer({ min: Math.ceil(least), max: Math.floor(most) });
    return fc.oneof(
      fc.constantFrom(least, most),
      fc.integer({ min: 0, max: 400 }).map((k) => least + ((most - least) * k) / 400),
    );
  };
  const entries = Object.entries(table).flatMap(([name, field]): [string, fc.Arbitrary<StoredFields[string]>][] => {
    if (field.type === "choice") return [[name, fc.constantFrom(...field.choices)]];
    if (field.type === "toggle") return [[name, fc.boolean()]];
    if (field.type === "number") return [[name, within(field)]];
    if (field.type === "pair") return [[name, fc.record({ x: within(field), y: within(field) })]];
    return [];
  });
  const some = fc.record(Object.fromEntries(entries), { requiredKeys: [] });
  return some.map((values): StoredFields => ({ ...values, kind }));
}

describe("whatever fields hold, each within its limits", () => {
  test.each([
    ...MOTIFS.map((definition) => ["motif", definition.kind, definition] as const),
    ...RULES.map((definition) => ["rule", definition.kind, definition] as const),
  ])("%s %s: what its choices need mends every conflict", (_, kind, definition) => {
    fc.assert(
      fc.property(storedOf(kind, definition.fields), (stored) => {
        const found = resolver();
        const mends = mendsOf(definition, stored, found);
        if (found.problems.length === 0) return expect(mends).toEqual({});
        const once = { ...stored, ...mends };
        const twice = { ...once, ...mendsOf(definition, once, resolver()) };
        const left = resolver();
        mendsOf(definition, twice, left);
        expect(left.problems).toEqual([]);
      }),
      { numRuns: members(60) },
    );
  });
});
