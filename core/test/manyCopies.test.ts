import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, thumbnailOf } from "../src";
import { piecesOfMesh } from "../src/form/meshPieces";
import { areaWithin } from "../src/geometry/area";
import { arrange } from "../src/geometry/arrangement/arrange";
import { randomFrom } from "../src/geometry/random";
import { withOneOutlines } from "../src/scene/oneOutline";
import { copyOutlines } from "../src/rules/copyOutlines";
import { drawnSizeOfScene } from "../src/scene/drawnSize";
import { TEST_HOST, withGeometryEngine } from "./prepared";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

describe("faces of many outlines", () => {
  test("know just the outlines that cover them, however many there are beside", () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const random = randomFrom(seed);
        const discs = Array.from({ length: 40 }, () => ({
          x: 60 * random(),
          y: 60 * random(),
          radius: 6 + 9 * random(),
        }));
        const parts = discs.map(({ x, y, radius }, k) => ({
          id: `d${k}`,
          motif: { kind: "disc", radius },
          at: { x, y },
        }));
        const outlines = buildScene(designWith({ parts })).parts.flatMap(({ geometry }) => copyOutlines(geometry));
        const faces = arrange(outlines).faces.map(({ outline, covering }) => ({ area: areaWithin(outline), covering }));
        for (let look = 0; look < 200; look++) {
          const point = { x: 60 * random(), y: 60 * random() };
          const edge = discs.some(({ x, y, radius }) => Math.abs(Math.hypot(point.x - x, point.y - y) - radius) < 0.05);
          const covering = discs.flatMap(({ x, y, radius }, k) =>
            Math.hypot(point.x - x, point.y - y) < radius ? [k] : [],
          );
          if (edge || covering.length === 0) continue;
          const around = faces.filter(({ area }) => area.contains(point));
          expect(around.map((face) => face.covering)).toEqual([covering]);
        }
      }),
      { numRuns: members(6) },
    );
  });
});

describe("the pieces of a surface", () => {
  /** A box as a closed surface, its triangles in any order. */
  const cube = (x: number, y: number, z: number, side: number) =>
    [0, 1, 2, 3, 4, 5, 6, 7].flatMap((corner) => [
      x + side * (corner & 1),
      y + side * ((corner >> 1) & 1),
      z + side * (corner >> 2),
    ]);
  const SIDES = [
    0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7, 5,
  ];

  test("are as many as boxes stand apart, each with its middle and volume", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 40 }),
        fc.integer(),
        (sides, seed) => {
          const random = randomFrom(seed);
          const positions = Float32Array.from(sides.flatMap((side, k) => cube(20 * k, 0, 0, side)));
          const triangles = sides.flatMap((_, k) =>
            Array.from({ length: 12 }, (__, t) => SIDES.slice(3 * t, 3 * t + 3).map((corner) => corner + 8 * k)),
          );
          triangles.sort(() => random() - 0.5);
          const pieces = piecesOfMesh({ positions, triangles: Uint32Array.from(triangles.flat()) });
          const found = pieces
            .map(({ middle, volume }) => [middle.x, middle.y, middle.z, Math.abs(volume)])
            .sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0));
          expect(found).toHaveLength(sides.length);
          sides.forEach((side, k) => {
            const own = [20 * k + side / 2, side / 2, side / 2, side ** 3];
            own.forEach((value, at) => expect(found[k]?.[at]).toBeCloseTo(value, 2));
          });
        },
      ),
      { numRuns: members(40) },
    );
  });
});

describe("pictures of many copies", () => {
  const discs = (columns: number, more: object = {}) =>
    designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc", radius: 3 },
          rules: [{ kind: "grid", columns, rows: columns, pitch: { x: 3, y: 3 } }],
          finish: { fill: "#224466" },
          ...more,
        },
      ],
    });

  test("those of one plain colour are one outline, mirrored ones too; others stay as they are", () => {
    const shapesOf = (design: ReturnType<typeof discs>) =>
      withOneOutlines(buildScene(design)).parts.map(({ geometry }) => geometry.placements.count);
    expect(shapesOf(discs(50))).toEqual([1]);
    expect(shapesOf(discs(40))).toEqual([1_600]);
    for (const finish of [
      { fill: "#22446688" },
      { fill: "#224466", line: { width: 0.1 } },
      { fill: "#224466", opacity: 0.5 },
      { fill: { kind: "cycle", colors: ["#000000", "#FFFFFF"], by: "index" } },
    ]) {
      expect(shapesOf(discs(50, { finish }))).toEqual([2_500]);
    }
    const mirrored = withOneOutlines(
      buildScene(
        discs(50, { rules: [{ kind: "reflect" }, { kind: "grid", columns: 50, rows: 50, pitch: { x: 3, y: 3 } }] }),
      ),
    );
    const area = areaWithin(mirrored.parts[0]?.geometry.shapes[0]?.path ?? []);
    // Between the first and the last of them everything is covered.
    for (const at of [-70, -31.7, 0, 12.3, 70]) expect(area.contains({ x: at, y: at / 2 })).toBe(true);
  });

  test("a small picture of more than it can show is made all the same", async () => {
    const stars = {
      motif: { kind: "star", points: 100, outer: 3, inner: 1 },
      finish: { fill: { kind: "cycle", colors: ["#000000", "#FFFFFF"], by: "index" } },
    };
    const design = discs(200, stars);
    expect(drawnSizeOfScene(buildScene(design))).toEqual({ copies: 40_000, sides: 8_000_000, outlines: 200, dots: 0 });
    const picture = await thumbnailOf(design, 64, TEST_HOST);
    expect("file" in picture && picture.file.length > 500).toBe(true);
  });
});
