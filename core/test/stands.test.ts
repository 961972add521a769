import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { mostRepeated, ownStand } from "../src";
import { boxOfPath } from "../src/geometry/path";
import { MOTIFS } from "../src/motif/list";
import { designWith, partDesign } from "./testDesign";
import { feetOf, partOf } from "./scenes";

const boxOf = (motif: object, standsBy: string) => boxOfPath(partOf(partDesign(motif, [], { standsBy })).geometry.path);

describe("what of a motif stands at its place", () => {
  test("a rectangle stands by its foot, a disc by its middle, and either is called so", () => {
    const called = (motif: object) => ownStand(partOf(partDesign(motif)).geometry);
    expect(called({ kind: "rectangle", width: 20, height: 30 })).toBe("foot");
    expect(called({ kind: "disc", radius: 7, at: { x: 5, turn: 30 } })).toBe("middle");
    expect(called({ kind: "arc", radius: 20, from: 10, to: 60 })).toBe("own");
    expect(boxOf({ kind: "rectangle", width: 20, height: 30 }, "middle")).toEqual({
      left: -10,
      right: 10,
      top: -15,
      bottom: 15,
    });
  });

  test("every ready motif, moved and sized as it may be, stands where it is said to", () => {
    const ready = MOTIFS.filter(({ origin, kind }) => origin === "ready" && kind !== "part").map(({ kind }) => kind);
    const place = fc.record({
      x: fc.double({ min: -50, max: 50, noNaN: true }),
      y: fc.double({ min: -50, max: 50, noNaN: true }),
      size: fc.double({ min: 0.1, max: 4, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.constantFrom(...ready), place, fc.constantFrom("foot", "middle"), (kind, at, by) => {
        const { left, right, top, bottom } = boxOf({ kind, at }, by);
        expect((left + right) / 2).toBeCloseTo(at.x, 6);
        expect(by === "foot" ? bottom : (top + bottom) / 2).toBeCloseTo(at.y, 6);
      }),
    );
  });

  test("it stays so while numbers change, and what turns about the motif's foot turns about where that came to", () => {
    const standing = partDesign({ kind: "rectangle", width: 4, height: 40 }, [{ kind: "ring", count: 4, radius: 50 }], {
      standsBy: "middle",
    });
    expect(feetOf(partOf(standing))[0]).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(-50, 9) });
    expect(partOf(standing).geometry.motifAt).toEqual([1, 0, 0, 1, 0, 20]);
  });
});

test("a desk opens on the visible part with the most copies, the topmost of equals", () => {
  const disc = { kind: "disc" };
  const ring = (count: number | string) => [{ kind: "ring", count }];
  const parts = [
    { id: "few", motif: disc, rules: ring(3) },
    { id: "many", motif: disc, rules: [...ring("n"), { kind: "turn", count: 2 }] },
    { id: "hidden", motif: disc, rules: ring(500), visible: false },
    { id: "off", motif: disc, rules: [{ kind: "ring", count: 400, on: false }] },
    { id: "equal", motif: disc, rules: ring(18) },
    { id: "top", motif: disc },
  ];
  expect(mostRepeated(designWith({ numbers: [{ name: "n", value: 9 }], parts }))).toBe("equal");
  expect(mostRepeated(designWith({ numbers: [{ name: "n", value: 10 }], parts }))).toBe("many");
  expect(mostRepeated(designWith({ parts: [] }))).toBeNull();
});
