import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { PNG } from "pngjs";
import { pngOf } from "./making";
import { differenceOf } from "./pictureDifference";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

const color = fc.constantFrom("#C8442B", "#1E6F5C80", "#2B214033");
const ramp = fc.tuple(color, color).map(([from, to]) => ({
  kind: "ramp",
  stops: [
    { at: 0, color: from },
    { at: 1, color: to },
  ],
}));
const paint = fc.oneof(color, ramp);
const partFinish = fc.record({
  fill: fc.option(paint),
  line: fc.option(
    fc.record(
      { width: fc.constantFrom(1, 3), paint, dash: fc.constant([3, 2]), dots: fc.constant({ gap: 2 }) },
      { requiredKeys: ["width"] },
    ),
  ),
});
const shape = fc.record({
  d: fc.constantFrom("M-20 -20L20 -20L0 20Z", "M-10 -25L25 0L-10 25L-25 0Z"),
  fill: fc.option(color),
  line: fc.record({ color, width: fc.constantFrom(1, 4), dash: fc.constantFrom([], [5, 3]) }),
});

describe("pieces with paint of their own", () => {
  test("look the same whatever the part's finish says of fill and line", () => {
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 3 }), partFinish, (shapes, finish) => {
        const picture = (finish: object) => {
          const motif = { kind: "svg", source: { width: 50, height: 50, shapes } };
          const sheet = { width: 80, height: 80 };
          const rules = [{ kind: "turn", count: 2, start: 45 }];
          return PNG.sync.read(
            Buffer.from(pngOf(designWith({ sheet, parts: [{ id: "a", motif, rules, finish }] }), 120)),
          );
        };
        expect(differenceOf(picture(finish), picture({ fill: null }))).toBeLessThan(1e-4);
      }),
      { numRuns: members(40) },
    );
  });
});
