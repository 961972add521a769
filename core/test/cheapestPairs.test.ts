import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { cheapestPairs } from "../src/design/cheapestPairs";

/** The least sum over all ways to give each row a column of its own, tried one by one. */
function leastByTrying(costs: readonly (readonly number[])[], free: readonly number[]): number {
  const [first, ...others] = costs;
  if (!first) return 0;
  return Math.min(
    ...free.map((column) => {
      const left = free.filter((other) => other !== column);
      return (first[column] ?? 0) + leastByTrying(others, left);
    }),
  );
}

test("pairs are as many as can be, each row and column once, and none are cheaper", () => {
  const table = fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 2 })).chain(([rows, more]) =>
    fc.array(fc.array(fc.nat(9), { minLength: rows + more, maxLength: rows + more }), {
      minLength: rows,
      maxLength: rows,
    }),
  );
  fc.assert(
    fc.property(table, fc.boolean(), (wide, isTurned) => {
      const columns = [...(wide[0] ?? []).keys()];
      const costs = isTurned ? columns.map((column) => wide.map((row) => row[column] ?? 0)) : wide;
      const pairs = cheapestPairs(costs);
      expect(pairs).toHaveLength(wide.length);
      expect(new Set(pairs.map(([row]) => row)).size).toBe(wide.length);
      expect(new Set(pairs.map(([, column]) => column)).size).toBe(wide.length);
      const sum = pairs.reduce((total, [row, column]) => total + (costs[row]?.[column] ?? NaN), 0);
      expect(sum).toBe(leastByTrying(wide, columns));
    }),
  );
});

test("nothing has no pairs", () => {
  expect([cheapestPairs([]), cheapestPairs([[], []])]).toEqual([[], []]);
});
