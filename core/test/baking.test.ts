import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { PNG } from "pngjs";
import { bakedCopies, boxOfGeometry, buildScene, type Design } from "../src";
import { areaOfPath } from "../src/geometry/path";
import { isSimple } from "../src/geometry/simple";
import { Incomputable } from "../src/formula/incomputable";
import { pathOfData } from "../src/motif/svg/pathOfData";
import { pngOf } from "./making";
import { differenceOf } from "./pictureDifference";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { partOf } from "./scenes";
import { designWith, partDesign } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

describe("baking copies", () => {
  const ring = [{ kind: "ring", count: 6, radius: 30 }];

  test("merged copies become one drawn outline of the same area and place", () => {
    const part = partOf(
      partDesign({ kind: "disc", radius: 20 }, ring, { join: { mode: "merge" }, at: { x: 12, turn: 20 } }),
    );
    const baked = partOf(designWith({ parts: [{ id: "a", motif: bakedCopies(part).motif }] }));
    expect(baked.geometry.placements.count).toBe(1);
    expect(areaOfPath(baked.geometry.path)).toBeCloseTo(areaOfPath(part.geometry.shapes[0]?.path ?? []), 3);
    const [before, after] = [boxOfGeometry(part.geometry), boxOfGeometry(baked.geometry)];
    expect(after.left).toBeCloseTo(before.left, 6);
    expect(after.bottom).toBeCloseTo(before.bottom, 6);
  });

  test("faces keep their colours, as a picture of their own", () => {
    const join = { mode: "faces", colors: ["#AA0000", "#00AA00"] };
    const part = partOf(partDesign({ kind: "disc", radius: 20 }, ring, { join }));
    const motifBaked = bakedCopies(part).motif;
    expect(motifBaked.kind).toBe("svg");
    const baked = partOf(designWith({ parts: [{ id: "a", motif: motifBaked }] }));
    const fills = baked.geometry.shapes[0]?.pieces?.map(({ fill }) =>
      typeof fill === "object" && fill && "own" in fill ? fill.own : null,
    );
    expect(new Set(fills)).toEqual(new Set(["#AA0000", "#00AA00", null]));
    expect(boxOfGeometry(baked.geometry).left).toBeCloseTo(boxOfGeometry(part.geometry).left, 3);
  });
});

/** The design with its part baked, the way the desk does it. */
function bakedDesign(design: Design): { design: Design; notes: readonly string[]; kind: string } {
  const { motif, hasOpacity, notes } = bakedCopies(partOf(design));
  const parts = design.parts.map((part) => ({
    id: part.id,
    motif,
    finish: { ...part.finish, ...(hasOpacity && { opacity: 1 }) },
  }));
  return { design: designWith({ sheet: { width: 120, height: 120 }, parts }), notes, kind: motif.kind };
}

/** The same, or null where baking refuses in words what would be too large. */
function bakedOrRefused(design: Design): ReturnType<typeof bakedDesign> | null {
  try {
    return bakedDesign(design);
  } catch (error) {
    if (error instanceof Incomputable) return null;
    throw error;
  }
}

const pictureOf = (design: Design) => PNG.sync.read(Buffer.from(pngOf(design, 240)));

const STOPS = [
  { at: 0, color: "#102030" },
  { at: 1, color: "#F0E0D0" },
];
const rules = fc.constantFrom(
  [{ kind: "turn", count: 5 }],
  [{ kind: "ring", count: 5, radius: 30 }],
  [{ kind: "step", count: 5, turn: 40, scale: 0.8, move: { x: 6, y: 0 } }],
  [{ kind: "step", count: 4, turn: 30, scale: { x: 0.9, y: 0.6 }, move: { x: 9, y: 0 } }],
  [{ kind: "reflect" }, { kind: "turn", count: 3 }],
  [
    { kind: "grid", columns: 3, rows: 3, pitch: 30 },
    { kind: "vary", opacity: "1 - 0.7 * t" },
  ],
);
const fill = fc.constantFrom<unknown>(
  null,
  "#1E6F5C",
  "#1E6F5C80",
  { kind: "cycle", colors: ["#C8442B", "#D9A24B"] },
  { kind: "ramp", stops: STOPS },
  { kind: "linear", over: "whole", angle: 40, stops: STOPS },
);
const line = fc.constantFrom<unknown>(
  null,
  { width: 1.5 },
  { width: 2, dash: [4, 2], cap: "butt", paint: { kind: "ramp", stops: STOPS } },
  {
    swell: [
      { at: 0, width: 0.5 },
      { at: 1, width: 3 },
    ],
  },
);

describe("what is baked looks as it did", () => {
  test("whatever the rules, fills, lines, joins, clearness and place", () => {
    fc.assert(
      fc.property(
        fc.constantFrom({ kind: "petal" }, { kind: "ring", outer: 12, inner: 7 }, { kind: "star", points: 5 }),
        rules,
        fill,
        line,
        fc.constantFrom(1, 0.6),
        fc.constantFrom("apart", "merge", "evenOdd"),
        fc.constantFrom({}, { x: 9, turn: 25, size: 0.7 }),
        (motif, rules, fill, line, opacity, mode, at) => {
          const finish = { fill, line, opacity };
          const design = designWith({
            sheet: { width: 120, height: 120 },
            parts: [{ id: "a", motif, rules, at, finish, join: { mode } }],
          });
          const baked = bakedOrRefused(design);
          fc.pre(baked !== null && baked.notes.length === 0);
          if (!baked) return;
          expect(buildScene(baked.design).problems).toEqual([]);
          expect(differenceOf(pictureOf(design), pictureOf(baked.design))).toBeLessThan(0.0015);
        },
      ),
      { numRuns: members(60) },
    );
  });

  test.each([
    ["each copy's own gradient", { fill: { kind: "linear", stops: STOPS } }, "gradient"],
    ["pools", { fill: { kind: "pools", points: [{ x: 0, y: 0, color: "#102030" }] } }, "gradient"],
    [
      "a gradient over the whole under lines that lie over each other",
      { fill: { kind: "radial", over: "whole", stops: STOPS }, line: {} },
      "gradient",
    ],
  ])("what cannot be kept is said: %s", (_, finish, words) => {
    const { notes } = bakedDesign(partDesign({ kind: "petal" }, [{ kind: "turn", count: 5 }], { finish }));
    expect(notes).toEqual([expect.stringContaining(words)]);
  });

  test("plain copies that only touch the plane become nodes, others a picture", () => {
    const kindOf = (rules: object[], finish: object) =>
      bakedDesign(partDesign({ kind: "disc", radius: 9 }, rules, { finish })).kind;
    const ring = [{ kind: "ring", count: 5, radius: 30 }];
    expect(kindOf(ring, { line: { width: 1 } })).toBe("drawn");
    expect(kindOf([{ kind: "ring", count: 5, radius: 9 }], {})).toBe("drawn");
    expect(kindOf([{ kind: "ring", count: 5, radius: 9 }], { line: { width: 1 } })).toBe("svg");
    expect(kindOf([{ kind: "step", count: 3, scale: 0.5, move: { x: 30, y: 0 } }], { line: { width: 1 } })).toBe("svg");
    expect(kindOf([{ kind: "step", count: 3, scale: 0.5, move: { x: 30, y: 0 } }], {})).toBe("drawn");
  });
});

describe("simple outlines", () => {
  test.each([
    ["M0 0L9 0L9 9L0 9Z", true],
    ["M0 0L9 9L9 0L0 9Z", false],
    ["M0 0L9 0L9 9L0 9Z M2 2L4 2L4 4Z", false],
    ["M0 0L9 0L9 9", false],
    ["M0 0C20 0 -10 10 10 10L0 10Z", true],
    ["M0 0C30 10 -20 10 10 0Z", false],
  ])("%s: %s", (data, simple) => {
    expect(isSimple(pathOfData(data))).toBe(simple);
  });
});
