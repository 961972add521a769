import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { colorAt, colorOfPainting, polar, rotation, translation, multiply, type Matrix, type Paint } from "../src";
import { facetLight } from "../src/finish/effects/facets";
import { cellNoise } from "../src/finish/effects/hash";
import { dashesOf, dotsAlong, shadesOf } from "../src/finish/line/intervals";
import { mixRamp } from "../src/finish/mixing";
import { channelsOf, pdfLine, pdfMatrix, pdfPath } from "../src/make/pdf/operators";
import { copyReader } from "../src/rules/copyNames";
import { facingOf, standing } from "../src/rules/facing";
import { cellForGroup, inCell, layoutOf } from "../src/rules/lattice";
import { sourcePlacement, type Placements } from "../src/rules/placements";
import { partDesign } from "./testDesign";
import { feetOf, partOf } from "./scenes";

function placed(matrices: readonly Matrix[], more: Partial<Placements> = {}): Placements {
  const flat = Float64Array.from(matrices.flat());
  return { ...sourcePlacement([1, 0, 0, 1, 0, 0]), count: matrices.length, matrices: flat, ...more };
}

const at = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];
const colorsOf = (paint: Paint, placements: Placements) =>
  Array.from({ length: placements.count }, (_, copy) => colorAt(paint, placements)(copy));

const BLACK_TO_WHITE = [
  { at: 0, color: "#000000" },
  { at: 1, color: "#FFFFFF" },
];
const cycle = (by: string): Paint => ({ kind: "cycle", colors: ["#AA0000", "#00AA00", "#0000AA"], by });
/** The colours of a cycle by their first letters. */
const initials = (colors: readonly string[]) =>
  colors.map((color) => ({ "#AA0000": "r", "#00AA00": "g", "#0000AA": "b" })[color]).join("");

describe("colours that take turns", () => {
  test("copy by copy, by distance and by direction: copies alike share one", () => {
    const places = placed([at(0, -30), at(20, 0), at(0, 10), at(-20, 0), at(10, 0), at(0, 30)]);
    expect(initials(colorsOf(cycle("index"), places))).toBe("rgbrgb");
    // Distances 30 20 10 20 10 30.
    expect(initials(colorsOf(cycle("distance"), places))).toBe("bgrgrb");
    // Directions 0 90 180 270 90 180.
    expect(initials(colorsOf(cycle("angle"), places))).toBe("rgbrgb");
  });

  test("by ring, row and column of what the rules lay", () => {
    const rings = partOf(
      partDesign({ kind: "disc", radius: 1 }, [{ kind: "ring", count: 2, rings: 3, growth: 1, radius: 20 }]),
    );
    expect(initials(colorsOf(cycle("ring"), rings.geometry.placements))).toBe("rrgggbbbb");
    const grid = partOf(partDesign({ kind: "disc", radius: 1 }, [{ kind: "grid", columns: 3, rows: 2, pitch: 10 }]));
    const { placements } = grid.geometry;
    const rows = new Map(feetOf(grid).map(({ y }, copy) => [copy, y]));
    const byRow = colorsOf(cycle("row"), placements);
    expect(new Set(byRow.map((color, copy) => `${color} ${rows.get(copy)}`)).size).toBe(2);
    const columns = feetOf(grid).map(({ x }) => x);
    const byColumn = colorsOf(cycle("column"), placements);
    expect(new Set(byColumn.map((color, copy) => `${color} ${columns[copy]}`)).size).toBe(3);
  });

  test("by one rule alone, the others' copies alike", () => {
    const rules = [
      { kind: "turn", count: 2 },
      { kind: "grid", columns: 3, rows: 1, pitch: 40 },
    ];
    const { placements } = partOf(partDesign({ kind: "petal" }, rules)).geometry;
    expect(initials(colorsOf(cycle("rule:1"), placements))).toBe("rgrgrg");
    expect(initials(colorsOf(cycle("rule:2"), placements))).toBe("rrggbb");
  });
});

describe("ramps", () => {
  test("go from the first copy to the last, from the centre out, around it, or as a rule says", () => {
    const ramp = (by: "index" | "distance" | "angle" | "paint"): Paint => ({ kind: "ramp", stops: BLACK_TO_WHITE, by });
    const places = placed([at(0, -40), at(10, 0), at(0, 20)]);
    expect(colorsOf(ramp("index"), places)).toEqual(["#000000", "#636363", "#FFFFFF"]);
    const [far, near, middle] = colorsOf(ramp("distance"), places);
    expect([far, middle]).toEqual(["#FFFFFF", "#636363"]);
    expect((near ?? "") < "#636363").toBe(true);
    expect(colorsOf(ramp("angle"), places)[2]).toBe("#636363");
    const said = placed([at(0, 0), at(0, 0)], { paint: Float64Array.from([0.5, 7]) });
    expect(colorsOf(ramp("paint"), said)).toEqual(["#636363", "#FFFFFF"]);
    expect(colorsOf(ramp("index"), placed([at(0, 0)]))).toEqual(["#000000"]);
  });

  test("stay at their ends beyond them, in whatever order stops are given, clear ones too", () => {
    const mix = mixRamp([
      { at: 0.8, color: "#FFFFFF" },
      { at: 0.2, color: "#000000" },
    ]);
    expect([-1, 0.2, 0.5, 0.8, 3].map(mix)).toEqual(["#000000", "#000000", "#636363", "#FFFFFF", "#FFFFFF"]);
    expect(mixRamp([{ at: 0.5, color: "#123456" }])(0)).toBe("#123456");
    expect(mixRamp([])(0.5)).toBe("#000000");
    const clear = mixRamp([
      { at: 0, color: "#FF000000" },
      { at: 1, color: "#FF0000FF" },
    ]);
    expect(clear(0.5)).toMatch(/^#FF0000(7F|80)$/);
    // Two stops in one place are an edge.
    expect(
      mixRamp([
        { at: 0.5, color: "#111111" },
        { at: 0.5, color: "#999999" },
      ])(0.4),
    ).toBe("#111111");
  });

  test("a gradient's one colour is its middle, that of pools between them all", () => {
    const linear = { kind: "linear", angle: 0, stops: BLACK_TO_WHITE, midpoint: 0.5, over: "copy" } as const;
    expect(colorOfPainting(linear)).toBe("#636363");
    const point = (color: string) => ({ x: 0, y: 0, reach: 1, color });
    const pools = { kind: "pools", over: "copy", points: [point("#000000"), point("#FFFFFF")] } as const;
    expect(colorOfPainting(pools)).toBe("#636363");
    const each: Paint = { kind: "each", paints: [linear, null, { kind: "flat", color: "#AABBCC" }] };
    expect(colorsOf(each, placed([at(0, 0), at(0, 0), at(0, 0)]))).toEqual(["#636363", "#00000000", "#AABBCC"]);
  });
});

describe("stretches of a line", () => {
  test("dashes begin where it does, an odd list is said twice, the last is cut at the end", () => {
    expect(dashesOf(10, [3, 2])).toEqual([
      { from: 0, to: 3 },
      { from: 5, to: 8 },
    ]);
    expect(dashesOf(9, [2])).toEqual([
      { from: 0, to: 2 },
      { from: 4, to: 6 },
      { from: 8, to: 9 },
    ]);
    for (const none of [[], [0, 0]]) expect(dashesOf(10, none)).toEqual([{ from: 0, to: 10 }]);
  });

  test("dots come out even whatever the gap: at both ends of an open line, with a gap all round of a closed one", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.boolean(),
        (length, gap, closed) => {
          const middles = dotsAlong(length, closed, gap, () => 1);
          const steps = middles.slice(1).map((middle, k) => middle - (middles[k] ?? 0));
          if (closed) steps.push(length - (middles.at(-1) ?? 0));
          else if (middles.length > 1) expect(middles.at(-1)).toBeCloseTo(length, 6);
          for (const step of steps) expect(step).toBeCloseTo(steps[0] ?? 0, 6);
          // As near to what was asked for as a whole number of dots allows.
          const asked = gap + 1;
          if (steps.length > 1) expect(Math.abs((steps[0] ?? 0) - asked)).toBeLessThan(asked / steps.length + 1e-9);
        },
      ),
    );
    expect(dotsAlong(0, false, 1, () => 1)).toEqual([]);
  });

  test("pieces of a changing colour lie end to end, ninety-six to a line", () => {
    const pieces = shadesOf({ from: 10, to: 60 }, 100);
    expect(pieces).toHaveLength(48);
    expect([pieces[0]?.from, pieces.at(-1)?.to]).toEqual([10, 60]);
    pieces.slice(1).forEach((piece, k) => expect(piece.from).toBe(pieces[k]?.to));
    expect(shadesOf({ from: 3, to: 3 }, 100)).toHaveLength(1);
  });
});

describe("seeded textures", () => {
  test("noise of cells is even over 0…1, and neighbours have nothing to do with each other", () => {
    const values = Array.from({ length: 100 }, (_, row) =>
      Array.from({ length: 100 }, (_, column) => cellNoise(column, row, 3)),
    );
    const flat = values.flat();
    const mean = flat.reduce((sum, value) => sum + value, 0) / flat.length;
    expect(Math.abs(mean - 0.5)).toBeLessThan(0.01);
    const variance = flat.reduce((sum, value) => sum + (value - mean) ** 2, 0) / flat.length;
    expect(Math.abs(variance - 1 / 12)).toBeLessThan(0.003);
    let together = 0;
    values.forEach((line) =>
      line.slice(1).forEach((value, k) => (together += (value - mean) * ((line[k] ?? 0) - mean))),
    );
    expect(Math.abs(together / (9_900 * variance))).toBeLessThan(0.04);
    expect(cellNoise(5, 6, 7)).toBe(cellNoise(5, 6, 7));
    expect(new Set([cellNoise(5, 6, 7), cellNoise(6, 5, 7), cellNoise(5, 6, 8), cellNoise(-5, 6, 7)]).size).toBe(4);
  });

  const coverage = {
    width: 60,
    height: 60,
    alpha: new Uint8ClampedArray(3_600).fill(255),
    left: -15,
    top: -15,
    scale: 2,
  };
  const facets = (more: object) => facetLight({ size: 5, strength: 0.5, seed: 1, ...more }, coverage);

  test("facets are as strong as asked, both light and dark, and stay where they are when the picture is moved", () => {
    const light = facets({});
    expect(Math.max(...light)).toBeGreaterThan(0.1);
    expect(Math.min(...light)).toBeLessThan(-0.1);
    expect(light.every((value) => Math.abs(value) <= 0.5)).toBe(true);
    expect([...facets({ strength: 0 })].every((value) => value === 0)).toBe(true);
    expect(facets({ seed: 2 })).not.toEqual(light);
    // Five millimetres to the right are ten pixels.
    const moved = facetLight({ size: 5, strength: 0.5, seed: 1 }, { ...coverage, left: -10 });
    for (let row = 0; row < 60; row += 7)
      for (let column = 0; column < 50; column += 7)
        expect(moved[row * 60 + column]).toBeCloseTo(light[row * 60 + column + 10] ?? NaN, 5);
  });
});

describe("where copies stand", () => {
  test("a copy tells its number, its share, its place and its direction as on a clock", () => {
    const read = copyReader(placed([at(0, -10), at(10, 0), at(-3, 4)]));
    expect(read(0)).toMatchObject({ i: 0, n: 3, t: 0, r: 10, angle: 0 });
    expect(read(1)).toMatchObject({ i: 1, t: 0.5, x: 10, y: 0, r: 10, angle: 90 });
    expect(read(2)).toMatchObject({ t: 1, r: 5 });
    expect(read(2).angle).toBeCloseTo(180 + (Math.atan2(3, 4) * 180) / Math.PI, 9);
    expect(copyReader(placed([at(0, 0)]))(0)).toMatchObject({ n: 1, t: 0, row: 0, column: 0, ring: 0 });
  });

  test("facings are quarter turns of the way out; a copy stands on its foot, sized and mirrored", () => {
    expect((["out", "in", "along", "fixed"] as const).map((face) => facingOf(face, 30))).toEqual([30, 210, 120, 0]);
    const foot = polar(20, 30);
    expect(standing(foot, 30)).toEqual(multiply(translation(foot.x, foot.y), rotation(30)));
    const [a, b, c, d] = standing(foot, 0, 2, true);
    expect([a, b + 0, c + 0, d]).toEqual([-2, 0, 0, 2]);
  });

  test("lattices: their sides, and how far odd rows are moved", () => {
    const pitch = { x: 20, y: 12 };
    const of = (lattice: Parameters<typeof layoutOf>[0], shift?: number) => layoutOf(lattice, pitch, null, shift);
    expect(of("square")).toEqual({ cell: { a: { x: 20, y: 0 }, b: { x: 0, y: 20 } }, oddShift: 0 });
    expect(of("brick")).toMatchObject({ cell: { b: { y: 12 } }, oddShift: 0.5 });
    expect(of("diamond")).toMatchObject({ cell: { b: { y: 6 } }, oddShift: 0.5 });
    expect(of("hex").cell.b.y).toBeCloseTo(17.320508, 6);
    expect(of("rectangle", 0.25).oddShift).toBe(0.25);
    const vectors = { a: { x: 9, y: 1 }, b: { x: 2, y: 7 } };
    expect(layoutOf("free", pitch, vectors, undefined).cell).toBe(vectors);
    expect(inCell(vectors, 2, -1)).toEqual({ x: 16, y: -5 });
    const { a, b } = cellForGroup("hexagonal", pitch, null);
    expect(Math.hypot(b.x, b.y)).toBeCloseTo(Math.hypot(a.x, a.y), 9);
    expect(a.x * b.x + a.y * b.y).toBeCloseTo(-0.5 * 20 ** 2, 9);
    expect(cellForGroup("oblique", pitch, vectors)).toBe(vectors);
    expect(cellForGroup("square", pitch, vectors).b).toEqual({ x: 0, y: 20 });
  });
});

describe("operators of a page", () => {
  test("paths, maps, lines and colours are said as the standard has them", () => {
    const path = [
      { closed: true, coordinates: [0, 0, 1, 0, 2, 1, 2, 2] },
      { closed: false, coordinates: [5, 5, 5, 5, 6, 6, 6, 6] },
    ];
    expect(pdfPath(path)).toBe("0 0 m 1 0 2 1 2 2 c h\n5 5 m 5 5 6 6 6 6 c");
    expect(pdfMatrix([1, 0, 0, -1, 10.5, 0.000001])).toBe("1 0 0 -1 10.5 0 cm");
    expect(pdfLine({ width: 0.4, cap: "butt", join: "bevel", dash: [3, 1.5] })).toBe("0.4 w 0 J 2 j 4 M [3 1.5] 0 d");
    expect(channelsOf("#FF008040")).toEqual({ rgb: [1, 0, 128 / 255], alpha: 64 / 255 });
    expect(channelsOf("#000000").alpha).toBe(1);
  });
});
