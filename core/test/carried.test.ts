import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  carriedBy,
  joinCopies,
  JOIN,
  JOIN_MODES,
  NO_JOIN_LIMITS,
  NOTHING_CARRIED,
  pickCarried,
  pieceOutline,
  repeatCarried,
  resolveDesign,
  boxOfPath,
  type Carried,
  type Placements,
} from "../src";
import { designResolver } from "../src/design/resolve";
import { withoutCoinciding } from "../src/rules/coinciding";
import { packMatrices } from "../src/rules/pack";
import { withGeometryEngine } from "./prepared";
import { partOf } from "./scenes";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const NAMES = ["rise", "zScale", "tiltX", "tiltY", "opacity", "paint"] as const;

/** Random things for some copies to carry. */
const carriedOf = (count: number): fc.Arbitrary<Carried> => {
  const array = fc.option(
    fc
      .array(fc.float({ min: 0, max: 1, noNaN: true }), { minLength: count, maxLength: count })
      .map(Float64Array.from.bind(Float64Array)),
  );
  return fc.record({ rise: array, zScale: array, tiltX: array, tiltY: array, opacity: array, paint: array });
};

describe("what copies carry", () => {
  test("goes through a product copy by copy: heights and tilts add up, scales and opacities multiply, the last paint stays", () => {
    fc.assert(
      fc.property(carriedOf(3), carriedOf(4), (group, own) => {
        const product = repeatCarried(group, own, 4, 3);
        for (let copy = 0; copy < 12; copy++) {
          const [inner, outer] = [carriedBy(group, copy % 3), carriedBy(own, Math.floor(copy / 3))];
          expect(carriedBy(product, copy)).toEqual({
            rise: inner.rise + outer.rise,
            zScale: inner.zScale * outer.zScale,
            tiltX: inner.tiltX + outer.tiltX,
            tiltY: inner.tiltY + outer.tiltY,
            opacity: inner.opacity * outer.opacity,
            paint: own.paint ? outer.paint : inner.paint,
          });
        }
        for (const name of NAMES) expect(product[name] === null).toBe(group[name] === null && own[name] === null);
      }),
    );
    expect(repeatCarried(NOTHING_CARRIED, {}, 5, 5)).toEqual(NOTHING_CARRIED);
  });

  test("is picked with the copies it belongs to", () => {
    fc.assert(
      fc.property(carriedOf(6), fc.array(fc.nat(5), { maxLength: 9 }), (carried, kept) => {
        const picked = pickCarried(carried, kept);
        kept.forEach((copy, index) => expect(carriedBy(picked, index)).toEqual(carriedBy(carried, copy)));
      }),
    );
  });
});

/** Six discs in a row, two of them at one place, all carrying something of their own. */
function row(): { shapes: ReturnType<typeof partOf>["geometry"]["shapes"]; placements: Placements } {
  const { geometry } = partOf(designWith({ parts: [{ id: "a", motif: { kind: "disc", radius: 4 } }] }));
  const count = 6;
  const own = Float64Array.from({ length: count }, (_, copy) => (copy + 1) / 10);
  const span = {
    number: 0,
    copies: count,
    groupSize: 1,
    rings: null,
    columns: null,
    rows: Uint32Array.from([0, 0, 1, 1, 2, 2]),
  };
  return {
    shapes: geometry.shapes,
    placements: {
      count,
      matrices: packMatrices(count, (j) => [1, 0, 0, 1, (j === 5 ? 4 : j) * 6, 0]),
      shapeOf: null,
      spans: [span],
      slots: null,
      rise: own,
      zScale: own,
      tiltX: own,
      tiltY: own,
      opacity: own,
      paint: own,
    },
  };
}

describe("every operation that keeps copies carries it along", () => {
  const copies = row();
  const resolver = designResolver(() => undefined);
  const asked = {
    others: [],
    limits: NO_JOIN_LIMITS,
    dropDoubled: true,
    centre: { x: 0, y: 0 },
    bands: { filled: true, line: null },
  };

  test("one of each", () => {
    // The last copy repeats the one before it only where it lies as high and is tilted alike.
    expect(withoutCoinciding(copies.shapes, copies.placements).count).toBe(6);
    const alike = Float64Array.of(0.1, 0.2, 0.3, 0.4, 0.5, 0.5);
    const heights = { rise: alike, zScale: alike, tiltX: alike, tiltY: alike };
    const kept = withoutCoinciding(copies.shapes, { ...copies.placements, ...heights });
    expect(kept.count).toBe(5);
    for (const name of NAMES) expect([...(kept[name] ?? [])]).toEqual([0.1, 0.2, 0.3, 0.4, 0.5]);
  });

  test.each(["apart", "weave"] as const)("the join %s, with and without outlines beside", (mode) => {
    expect(JOIN_MODES).toContain(mode);
    for (const offset of [null, { by: 1, times: 2 }]) {
      const join = JOIN.resolve({ mode, offset }, resolver, "");
      const { placements } = joinCopies(copies, join, asked);
      const levels = offset && mode === "apart" ? 3 : 1;
      expect(placements.count).toBe(6 * levels);
      for (const name of NAMES) {
        const wanted = Array.from({ length: levels }, () => [0.1, 0.2, 0.3, 0.4, 0.5, 0.6]).flat();
        expect([...(placements[name] ?? [])].sort()).toEqual(wanted.sort());
      }
      expect(placements.spans).toEqual(copies.placements.spans);
    }
  });

  test("a fill that goes by rows still does with outlines beside", () => {
    const design = designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc", radius: 4 },
          rules: [{ kind: "grid", columns: 2, rows: 3, pitch: 20 }],
          join: { offset: { by: 1, times: 1 } },
          finish: { fill: { kind: "cycle", by: "row", colors: ["#111111", "#222222", "#333333"] } },
        },
      ],
    });
    const { placements } = partOf(design).geometry;
    expect(placements.count).toBe(12);
    expect(placements.spans[0]?.rows).not.toBeNull();
    expect(resolveDesign(design).problems).toEqual([]);
  });

  test("a part bent along a line brings its pieces where they stand", () => {
    const line = { id: "line", role: "guide", motif: { kind: "line", length: 200, angle: 90 }, at: { x: -100 } };
    const pair = {
      id: "pair",
      role: "tool",
      motif: { kind: "disc", radius: 3 },
      rules: [{ kind: "ring", count: 2, radius: 10 }],
    };
    const whole = { id: "a", motif: { kind: "part", part: "pair" } };
    const along = (bend: boolean) =>
      designWith({ parts: [line, pair, { ...whole, rules: [{ kind: "along", path: "line", count: 3, bend }] }] });
    const boxesOf = (bend: boolean) => {
      const { shapes, placements } = partOf(along(bend)).geometry;
      return Array.from({ length: placements.count }, (_, copy) => {
        const pieces = shapes[placements.shapeOf?.[copy] ?? 0]?.pieces ?? [];
        return pieces.map((piece) => {
          const box = boxOfPath(pieceOutline(piece));
          return [box.right - box.left, box.bottom - box.top, (box.top + box.bottom) / 2];
        });
      });
    };
    // Along a straight line bending changes nothing: the two discs lie ten above and ten below it.
    for (const pieces of boxesOf(true)) {
      expect(pieces.map(([, , middle]) => Math.round(middle ?? 0)).sort((a, b) => a - b)).toEqual([-10, 10]);
      for (const [width, height] of pieces)
        expect([width, height]).toEqual([expect.closeTo(6, 2), expect.closeTo(6, 2)]);
    }
  });
});
