import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { multiply, type Matrix } from "../src";
import { extentOf, extentOfProduct } from "../src/rules/farthest";

test("what a product of placements may come to is never less than what it comes to", () => {
  const entry = fc.double({ min: -1e5, max: 1e5, noNaN: true });
  const matrices = fc.array(fc.tuple(entry, entry, entry, entry, entry, entry), { minLength: 1, maxLength: 5 });
  const flat = (list: readonly Matrix[]) => Float64Array.from(list.flat());
  fc.assert(
    fc.property(matrices, matrices, (outer, inner) => {
      const most = extentOfProduct(extentOf(flat(outer)), extentOf(flat(inner)));
      const found = extentOf(flat(outer.flatMap((own) => inner.map((one) => multiply(own, one)))));
      expect(found.linear).toBeLessThanOrEqual(most.linear * (1 + 1e-12));
      expect(found.away).toBeLessThanOrEqual(most.away * (1 + 1e-12));
    }),
  );
});

test("numbers that are none are beyond everything", () => {
  expect(extentOf(Float64Array.of(NaN, 0, 0, 1, 0, 0)).linear).toBeNaN();
  expect(extentOf(Float64Array.of(1, 0, 0, 1, Infinity, 0)).away).toBe(Infinity);
});
