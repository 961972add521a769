import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  buildScene,
  FRIEZE_SYMBOLS,
  LATTICES,
  PLANE_GROUP_SYMBOLS,
  rasterise,
  svgOfScene,
  tileOfScene,
  type Box,
  type Design,
  type Scene,
  type Tile,
} from "../src";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

const COLORS = ["#C8442B", "#1E6F5C", "#D9A24B", "#17566B"];
/** Whole pixels of a box at 150 dots an inch, or more where that leaves a small tile too few to take shares of. */
function pixelsOf({ left, top, right, bottom }: Box): { width: number; height: number } {
  const [width, height] = [right - left, bottom - top];
  const scale = Math.max(150 / 25.4, 100 / Math.max(width, height));
  return { width: Math.round(width * scale), height: Math.round(height * scale) };
}

function pictureOf(scene: Scene, frame: Box, pixels: { width: number; height: number }): Picture {
  const svg = svgOfScene(scene, { title: "", unit: "mm", embed: null, imageDpi: 150, frame, pixels });
  return rasterise(svg, pixels.width, (rendered) => ({ ...pixels, data: Uint8Array.from(rendered.pixels) }));
}

interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

function tileIn(scene: Scene): Tile {
  const tile = tileOfScene(scene);
  if (!("frame" in tile)) throw new Error(tile.join("; "));
  return tile;
}

const tileOf = (design: Design): Tile => tileIn(buildScene(design));

/** The share of pixels that differ between a picture of 2 × 2 tiles and the pattern itself, drawn there. */
function seamOf(pattern: Scene, bandOnly = false): number {
  const { scene, frame } = tileIn(pattern);
  const [across, down] = [frame.right - frame.left, frame.bottom - frame.top];
  const whole: Box = { ...frame, right: frame.right + across, bottom: frame.bottom + (bandOnly ? 0 : down) };
  const { width, height } = pixelsOf(frame);
  const tile = pictureOf(scene, frame, { width, height });
  const direct = pictureOf(pattern, whole, { width: 2 * width, height: (bandOnly ? 1 : 2) * height });
  return differingShare(tile, direct);
}

/**
 * The share of pixels of a picture that those of a tile laid side by side are unlike, and unlike all next to them too:
 * the rasteriser itself moves an edge by a part of a pixel from one place to another.
 */
function differingShare(tile: Picture, { width, height, data }: Picture): number {
  const [own, columns, rows] = [tile.data, tile.width, tile.height];
  const isLike = (x: number, y: number, from: number): boolean => {
    if (x < 0 || y < 0 || x >= width || y >= height) return false;
    const at = (y * width + x) * 4;
    for (let k = 0; k < 3; k++) {
      const apart = (own[from + k] ?? 0) - (data[at + k] ?? 0);
      if (apart > 40 || apart < -40) return false;
    }
    return true;
  };
  let different = 0;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const from = ((y % rows) * columns + (x % columns)) * 4;
      if (isLike(x, y, from)) continue;
      const near = [-1, 0, 1].some((dy) => [-1, 0, 1].some((dx) => isLike(x + dx, y + dy, from)));
      if (!near) different += 1;
    }
  }
  return different / (width * height);
}

/** Whether copies stand all about four tiles: a patch that ends sooner says nothing about seams. */
function reachesOver(scene: Scene, { left, top, right, bottom }: Box): boolean {
  const { matrices, count } = scene.parts[0]?.geometry.placements ?? { matrices: [], count: 0 };
  const [xs, ys] = [4, 5].map((at) => Array.from({ length: count }, (_, copy) => matrices[6 * copy + at] ?? 0));
  const margin = 10;
  return (
    Math.min(...(xs ?? [])) < left - margin &&
    Math.max(...(xs ?? [])) > 2 * right - left + margin &&
    Math.min(...(ys ?? [])) < top - margin &&
    Math.max(...(ys ?? [])) > 2 * bottom - top + margin
  );
}

const motif = fc.constantFrom(
  { kind: "petal", length: 6, width: 3 },
  { kind: "leaf", length: 6, width: 3, bend: 0.4 },
  { kind: "polygon", sides: 3, radius: 2.5 },
);
const before = fc.constantFrom(
  [],
  [{ kind: "turn", count: 3 }],
  [{ kind: "ring", count: 4, radius: 3 }],
  [{ kind: "step", count: 2, turn: 30, scale: 0.8, move: { x: 2, y: 0 } }],
);
const grid = fc.oneof(
  fc.record({ group: fc.constantFrom(...PLANE_GROUP_SYMBOLS) }),
  fc.record({
    lattice: fc.constantFrom(...LATTICES.filter((lattice) => lattice !== "free")),
    alternate: fc.record({
      columns: fc.constantFrom("none", "flip", "turn"),
      rows: fc.constantFrom("none", "flip", "turn"),
    }),
  }),
);
const fill = fc.oneof(
  fc.constant(COLORS[0]),
  fc.record({
    kind: fc.constant("cycle"),
    by: fc.constantFrom("index", "row", "column", "rule:1", "rule:2"),
    colors: fc.integer({ min: 2, max: 3 }).map((count) => COLORS.slice(0, count)),
  }),
  fc.constant({
    kind: "linear",
    angle: 30,
    stops: [
      { at: 0, color: "#000000" },
      { at: 1, color: "#FFFFFF" },
    ],
  }),
);

describe("the seamless tile is the pattern", () => {
  test("random grids, with rules before them, placed, turned, sized, their colours in turn", () => {
    let made = 0;
    fc.assert(
      fc.property(
        motif,
        before,
        grid,
        fill,
        fc.record({ x: fc.integer({ min: -9, max: 9 }), y: fc.integer({ min: -9, max: 9 }) }),
        fc.constantFrom(0, 90, 180, 270),
        fc.constantFrom(0.5, 1, 1.25),
        fc.constantFrom(
          [],
          [{ kind: "reflect", angle: 90, through: { x: 0, y: 1.3 } }],
          [{ kind: "turn", count: 2, pivot: { x: 1.7, y: 0.9 } }],
        ),
        (motif, before, grid, fill, place, turn, size, after) => {
          const part = {
            id: "a",
            motif,
            rules: [...before, { kind: "grid", ...grid, pitch: 9, columns: 23, rows: 23 }, ...after],
            at: { ...place, turn, size },
            finish: { fill, line: { width: 0.3 } },
          };
          const design = designWith({ sheet: { width: 400, height: 400 }, parts: [part] });
          const scene = buildScene(design);
          const { frame } = tileIn(scene);
          fc.pre(reachesOver(scene, frame));
          made += 1;
          expect(seamOf(scene)).toBeLessThan(0.002);
        },
      ),
      { numRuns: members(8) },
    );
    expect(made).toBe(members(8));
  });

  test.each(FRIEZE_SYMBOLS)("a border %s with colours in turn, placed and turned about", (group) => {
    const part = {
      id: "a",
      motif: { kind: "leaf", length: 6, width: 3, bend: 0.5 },
      rules: [{ kind: "border", group, pitch: 8, count: 40 }],
      at: { x: 3, y: 5, turn: 180 },
      finish: { fill: { kind: "cycle", by: "rule:1", colors: COLORS.slice(0, 3) } },
    };
    const design = designWith({ sheet: { width: 400, height: 100 }, parts: [part] });
    expect(seamOf(buildScene(design), true)).toBeLessThan(0.002);
  });

  test.each([
    [{ kind: "grid", pitch: 10 }, {}, "merge"],
    [{ kind: "grid", pitch: 7, lattice: "hex" }, {}, "merge"],
    [{ kind: "grid", pitch: 7, lattice: "brick" }, {}, "evenOdd"],
    [{ kind: "grid", pitch: 7 }, { paint: "depth", colors: COLORS }, "faces"],
    [{ kind: "grid", pitch: 7 }, { paint: "alternate", colors: COLORS.slice(0, 2) }, "faces"],
  ])("%j joined as %j %s", (rule, join, mode) => {
    const design = designWith({
      sheet: { width: 60, height: 60 },
      parts: [
        {
          id: "a",
          motif: { kind: "ring", outer: 5, inner: 3.4 },
          rules: [{ ...rule, columns: 7, rows: 7 }],
          join: { mode, ...join },
        },
      ],
    });
    expect(seamOf(buildScene(design))).toBeLessThan(0.002);
  });

  test("the period is told by figures: alternate columns double it, three colours by column treble it", () => {
    const sizeOf = (rule: object, fill: unknown = "#000000", at: object = {}) => {
      const rules = [{ kind: "grid", pitch: { x: 10, y: 8 }, lattice: "rectangle", ...rule }];
      const { frame } = tileOf(
        designWith({ parts: [{ id: "a", motif: { kind: "petal" }, rules, at, finish: { fill } }] }),
      );
      return [frame.right - frame.left, frame.bottom - frame.top].map((length) => Number(length.toFixed(6)));
    };
    expect(sizeOf({})).toEqual([10, 8]);
    expect(sizeOf({ alternate: { columns: "flip" } })).toEqual([20, 8]);
    expect(sizeOf({ lattice: "brick" })).toEqual([10, 16]);
    expect(sizeOf({}, { kind: "cycle", by: "column", colors: COLORS.slice(0, 3) })).toEqual([30, 8]);
    // Five columns: a row further on is five places further in turn.
    expect(sizeOf({}, { kind: "cycle", by: "index", colors: COLORS.slice(0, 3) })).toEqual([30, 24]);
    expect(sizeOf({}, { kind: "cycle", by: "index", colors: COLORS.slice(0, 2) })).toEqual([20, 16]);
    expect(sizeOf({ columns: 4 }, { kind: "cycle", by: "index", colors: COLORS.slice(0, 2) })).toEqual([20, 8]);
    expect(sizeOf({}, "#000000", { turn: 90, size: 2 })).toEqual([16, 20]);
  });

  const grids = { kind: "grid", pitch: 10 };
  test.each([
    ["a rule after it that varies copies", [grids, { kind: "vary", turn: "9 * i" }], {}, "changes copies one by one"],
    ["a turn that leaves nothing level", [grids], { at: { turn: 20 } }, "does not repeat level"],
    [
      "colours over the whole",
      [grids],
      { finish: { fill: { kind: "radial", over: "whole", stops: [{ at: 0, color: "#000000" }] } } },
      "over the whole",
    ],
    [
      "colours mixed along",
      [grids],
      { finish: { fill: { kind: "ramp", stops: [{ at: 0, color: "#000000" }] } } },
      "mixed along",
    ],
    [
      "colours by distance",
      [grids],
      { finish: { fill: { kind: "cycle", by: "distance", colors: COLORS } } },
      "distance",
    ],
    ["grain", [grids], { finish: { grain: {} } }, "grain"],
    ["a weave", [grids], { join: { mode: "weave" } }, "over and under"],
    ["no grid", [{ kind: "turn" }], {}, "neither in a grid"],
    ["faces orbit by orbit", [{ ...grids, pitch: 5 }], { join: { mode: "faces", colors: COLORS } }, "one by one"],
    [
      "rows of different length",
      [{ ...grids, fill: "sheet" }],
      { finish: { fill: { kind: "cycle", colors: COLORS } } },
      "different length",
    ],
  ])("%s: refused in words", (_, rules, more, words) => {
    const design = designWith({
      parts: [{ id: "a", name: "Floor", motif: { kind: "disc", radius: 3 }, rules, ...more }],
    });
    const reasons = tileOfScene(buildScene(design));
    expect(reasons).toEqual([
      expect.stringContaining(`Floor: ${words.startsWith("neither") ? "it repeats neither" : ""}`),
    ]);
    expect(JSON.stringify(reasons)).toContain(words);
  });
});
