import { beforeAll, describe, expect, test } from "@jest/globals";
import { PNG } from "pngjs";
import {
  buildScene,
  FRIEZE_SYMBOLS,
  lineArtOf,
  subjectOf,
  USUAL_OPTIONS,
  PLANE_GROUP_SYMBOLS,
  readDesign,
  writeDesign,
  type Design,
} from "../src";
import { pngOfScene } from "../src/make/png";
import { tileOfScene } from "../src/make/tile";
import { differenceOf } from "./pictureDifference";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { designWith, partDesign } from "./testDesign";
import { partOf } from "./scenes";
import { flatFormat, tileOf } from "./making";

beforeAll(async () => {
  await withGeometryEngine();
  await withRasteriser();
});

const motif = {
  kind: "drawn",
  paths: [
    {
      closed: true,
      nodes: [
        { x: 1, y: 0 },
        { x: 5, y: -9 },
        { x: 8, y: -2 },
      ],
    },
  ],
};

/** How much a tile differs from what stands a whole tile further: nothing, where it has no seam. */
function seamOf(design: Design, dx: number, dy: number): number {
  const tile = tileOf(design);
  if (!tile) throw new Error("no tile");
  const { left, top, right, bottom } = tile.frame;
  const [x, y] = [(right - left) * dx, (bottom - top) * dy];
  const next = { left: left + x, top: top + y, right: right + x, bottom: bottom + y };
  const [own, other] = [tile.frame, next].map((frame) =>
    PNG.sync.read(Buffer.from(pngOfScene(tile.scene, frame, 120))),
  );
  if (!own || !other) throw new Error("no pictures");
  const shades = new Set(own.data);
  expect(shades.size).toBeGreaterThan(4);
  return differenceOf(own, other);
}

describe("the seamless tile", () => {
  test.each(PLANE_GROUP_SYMBOLS)("of %s: its edges meet as its inside does", (group) => {
    const design = partDesign(motif, [{ kind: "grid", group, pitch: 24, columns: 2, rows: 2 }]);
    expect(seamOf(design, 1, 0)).toBeLessThan(0.001);
    expect(seamOf(design, 0, 1)).toBeLessThan(0.001);
  });

  test.each(FRIEZE_SYMBOLS)("of the border %s: its ends meet", (group) => {
    const design = partDesign(motif, [{ kind: "border", group, count: 3, pitch: 30 }]);
    const tile = tileOf(design);
    expect((tile?.frame.right ?? 0) - (tile?.frame.left ?? 0)).toBeCloseTo(30, 9);
    expect(seamOf(design, 1, 0)).toBeLessThan(0.001);
  });

  test("what does not repeat in it is left out and told; where nothing repeats there is none", () => {
    const grid = { id: "grid", motif, rules: [{ kind: "grid", pitch: 20 }] };
    const disc = { id: "disc", name: "Lone disc", motif: { kind: "disc", radius: 9 } };
    expect(tileOf(designWith({ parts: [grid, disc] }))?.leftOut).toEqual([
      "Lone disc: it repeats neither in a grid nor in a border that runs level",
    ]);
    const alone = designWith({ parts: [disc] });
    expect(tileOf(alone)).toBeNull();
    expect(flatFormat("tile.svg").refuses?.(subjectOf(alone), USUAL_OPTIONS)).toContain(
      "no part of this design repeats",
    );
  });

  test("a step far smaller than what it repeats is refused, not laid out a million times", () => {
    const scene = buildScene(
      partDesign({ kind: "disc", radius: 5_000 }, [{ kind: "border", pitch: 0.001, count: 5 }], { name: "Dust" }),
    );
    expect(tileOfScene(scene)).toEqual([expect.stringMatching(/^Dust: .*too many copies/)]);
  });

  test("its SVG has the tile's own size", () => {
    const made = flatFormat("tile.svg").make(
      subjectOf(partDesign(motif, [{ kind: "grid", lattice: "hex", pitch: 20 }])),
      USUAL_OPTIONS,
    );
    expect(made).toEqual(expect.stringContaining('width="20mm" height="34.64102mm"'));
  });
});

describe("line art", () => {
  test("nothing is filled, every outline has one weight, and nothing lies under or over it", () => {
    const design = designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc" },
          finish: { fill: "#AA0000", line: { width: 3, place: "inside" }, shadow: {}, blend: "multiply" },
        },
        {
          id: "b",
          motif: { kind: "disc" },
          rules: [{ kind: "ring", count: 6 }],
          join: { mode: "faces", colors: ["#00AA00"] },
        },
      ],
    });
    for (const { finish, join } of lineArtOf(design, 0.4).parts) {
      expect(finish).toMatchObject({
        fill: null,
        shadow: null,
        blend: "normal",
        line: { width: 0.4, paint: "#000000", place: "center" },
      });
      expect(join.colors).toEqual(join.mode === "faces" ? [null] : []);
    }
    expect(buildScene(lineArtOf(design, 0.4)).problems).toEqual([]);
  });
});

describe("faces with fills of their own", () => {
  const join = {
    mode: "faces",
    paint: "alternate",
    colors: [
      {
        kind: "linear",
        angle: 20,
        over: "whole",
        stops: [
          { at: 0, color: "#000000" },
          { at: 1, color: "#FFFFFF" },
        ],
      },
      null,
    ],
    own: [{ face: "0.0", color: "#AA0000" }],
  };
  const design = partDesign({ kind: "disc", radius: 20 }, [{ kind: "ring", count: 6, radius: 24 }], { join });

  test("a gradient, a hollow one, and one face painted alone", () => {
    const { finish, geometry } = partOf(design);
    if (finish.fill?.kind !== "each") throw new Error("faces have no paints of their own");
    const kinds = finish.fill.paints.map((paint) => paint?.kind ?? "none");
    expect(new Set(kinds)).toEqual(new Set(["linear", "none", "flat"]));
    expect(kinds.filter((kind) => kind === "flat")).toHaveLength(1);
    const alone = geometry.faceOf?.indexOf("0.0") ?? -1;
    expect(finish.fill.paints[alone]).toEqual({ kind: "flat", color: "#AA0000" });
  });

  test("they are written and read back", () => {
    expect(readDesign(JSON.parse(writeDesign(design))).design).toEqual(design);
  });

  test("another colour computes no geometry; the same face keeps its name when the count changes", () => {
    const named = (count: number) =>
      partOf(partDesign({ kind: "disc", radius: 20 }, [{ kind: "ring", count, radius: 24 }], { join })).geometry
        .faceOf ?? [];
    expect(named(6)).toContain("0.0");
    expect(named(7)).toContain("0.0");
    expect(new Set(named(6)).size).toBe(named(6).length);
  });
});
