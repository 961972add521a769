import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  boxOfMesh,
  countTriangles,
  openEdges,
  sharpEdges,
  solidPicture,
  picturedBodies,
  picturedLayout,
  volumeOfMesh,
  type Mesh,
} from "../src";
import { areaOf, chordsOfCircle, depthWithin, inset, type Rings } from "../src/form/area";
import { Arena, withArena } from "../src/form/arena";
import { edgeLevels } from "../src/form/edge";
import { engineSolid } from "../src/form/engineMesh";
import { solidThrough, subdivided } from "../src/form/levels";
import { solidEngine } from "../src/engines/solidEngine";
import { rowsWithin } from "../src/solid/rows";
import { unitedSolids } from "../src/solid/uniting";
import { withGeometryEngine, withSolidEngine } from "./prepared";
import { layoutOf, modelOf } from "./solidModels";
import { partDesign } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

/** A box from the origin, its corners named as a careful hand would. */
function boxMesh(x: number, y: number, z: number): Mesh {
  const corners = [0, 1].flatMap((k) => [0, 1].flatMap((j) => [0, 1].map((i) => [i * x, j * y, k * z])));
  const quads = [
    [0, 2, 3, 1],
    [4, 5, 7, 6],
    [0, 1, 5, 4],
    [2, 6, 7, 3],
    [0, 4, 6, 2],
    [1, 3, 7, 5],
  ];
  const triangles = quads.flatMap(([a = 0, b = 0, c = 0, d = 0]) => [a, b, c, a, c, d]);
  return { positions: Float32Array.from(corners.flat()), triangles: Uint32Array.from(triangles) };
}

describe("meshes as plain data", () => {
  const side = fc.double({ min: 0.5, max: 40, noNaN: true });

  test("a box: its volume, its box, no open edge, twelve edges that are drawn", () => {
    fc.assert(
      fc.property(side, side, side, (x, y, z) => {
        const mesh = boxMesh(x, y, z);
        expect(volumeOfMesh(mesh) / (x * y * z)).toBeCloseTo(1, 5);
        expect(countTriangles(mesh)).toBe(12);
        expect(openEdges(mesh)).toHaveLength(0);
        // Two ends of three numbers an edge; diagonals lie in flat faces.
        expect(sharpEdges(mesh)).toHaveLength(12 * 6);
        expect(boxOfMesh(mesh)?.max.map((value) => value.toFixed(3))).toEqual(
          [x, y, z].map((value) => value.toFixed(3)),
        );
      }),
    );
  });

  test("each triangle that is missing opens three edges, unless another missing one shares them", () => {
    const { positions, triangles } = boxMesh(2, 3, 4);
    expect(openEdges({ positions, triangles: triangles.slice(3) })).toHaveLength(3 * 2);
    expect(openEdges({ positions, triangles: triangles.slice(6) })).toHaveLength(4 * 2);
  });

  test("one that runs the wrong way round opens its edges", () => {
    const { positions, triangles } = boxMesh(2, 3, 4);
    const turned = triangles.slice();
    turned.set([triangles[0] ?? 0, triangles[2] ?? 0, triangles[1] ?? 0]);
    expect(openEdges({ positions, triangles: turned }).length).toBeGreaterThan(0);
  });

  test("what is empty has no box and no volume", () => {
    const empty = { positions: new Float32Array(), triangles: new Uint32Array() };
    expect(boxOfMesh(empty)).toBeNull();
    expect(volumeOfMesh(empty)).toBe(0);
  });
});

const square = (side: number): Rings => [
  [
    [0, 0],
    [side, 0],
    [side, side],
    [0, side],
  ],
];

describe("areas and levels", () => {
  test("a square of which all near its edge is taken is a smaller square; its depth is half its side", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 0.05, max: 0.45, noNaN: true }),
        (side, share) => {
          withArena((arena) => {
            const area = arena.keep(solidEngine().CrossSection.ofPolygons([...square(side)], "NonZero"));
            expect(areaOf(inset(area, side * share, 0.01, arena).toPolygons())).toBeCloseTo(
              (side * (1 - 2 * share)) ** 2,
              2,
            );
            expect(depthWithin(area, 0.01, arena)).toBeCloseTo(side / 2, 1);
          });
        },
      ),
      { numRuns: members(20) },
    );
  });

  test("a circle's chords leave it by no more than the tolerance", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0.001, max: 0.5, noNaN: true }),
        (radius, tolerance) => {
          const sagitta = radius * (1 - Math.cos(Math.PI / chordsOfCircle(radius, tolerance)));
          expect(sagitta).toBeLessThanOrEqual(Math.max(tolerance, radius * (1 - Math.cos(Math.PI / 8))) + 1e-12);
        },
      ),
    );
  });

  test("edges go up from the foot to the depth, in to the outline and back, never past what there is room for", () => {
    const edge = fc.record({
      shape: fc.constantFrom("round" as const, "bevel" as const),
      size: fc.double({ min: 0, max: 20, noNaN: true }),
      steps: fc.integer({ min: 1, max: 12 }),
      at: fc.constantFrom("both" as const, "top" as const, "bottom" as const),
    });
    fc.assert(
      fc.property(
        edge,
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        fc.boolean(),
        (own, depth, reach, splits) => {
          const levels = edgeLevels(own, depth, { reach, splits });
          levels.slice(1).forEach(({ z }, index) => expect(z).toBeGreaterThanOrEqual((levels[index]?.z ?? 0) - 1e-9));
          for (const { inset: by, z } of levels) {
            expect(by).toBeGreaterThanOrEqual(0);
            expect(by).toBeLessThan(Math.max(reach, 1e-9));
            expect(z).toBeGreaterThanOrEqual(-1e-9);
            expect(z).toBeLessThanOrEqual(depth + 1e-9);
          }
          expect(Math.min(...levels.map(({ inset: by }) => by))).toBe(0);
          if (own.at === "top" || own.size === 0) expect(levels[0]).toEqual({ inset: 0, z: 0 });
          if (own.at === "bottom" || own.size === 0) expect(levels.at(-1)?.z).toBeCloseTo(depth, 8);
        },
      ),
    );
  });

  test("a solid through two squares of which one lies within the other is a frustum", () => {
    const inner: Rings = [
      [
        [2, 2],
        [8, 2],
        [8, 8],
        [2, 8],
      ],
    ];
    const solid = solidThrough(
      [
        { rings: square(10), z: 0 },
        { rings: inner, z: 3 },
      ],
      (x, y, z) => [x, y, z],
    );
    // (h / 3) (A + a + √(A a)).
    expect(solid.volume()).toBeCloseTo((3 / 3) * (100 + 36 + 60), 4);
    expect(solid.genus()).toBe(0);
    solid.delete();
  });

  test("edges that are divided stay where they were, none longer than asked", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        (side, longest) => {
          const divided = subdivided(square(side), longest);
          expect(areaOf(divided)).toBeCloseTo(side * side, 6);
          const [ring = []] = divided;
          const longestOf = ring.reduce((most, [x, y], index) => {
            const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
            return Math.max(most, Math.hypot(nextX - x, nextY - y));
          }, 0);
          expect(longestOf).toBeLessThanOrEqual(longest + 1e-9);
        },
      ),
    );
  });
});

describe("rows of a filling", () => {
  test("cover an area by its size over their spacing, whatever the angle; none leaves it", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 180, noNaN: true }),
        fc.double({ min: 0.1, max: 0.8, noNaN: true }),
        (angle, spacing) => {
          const rows = rowsWithin(square(40), angle, spacing);
          let length = 0;
          for (let k = 0; k + 3 < rows.length; k += 4) {
            const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = rows.subarray(k, k + 4);
            length += Math.hypot(x1 - x0, y1 - y0);
          }
          // Looked at together: asking for each by itself takes longer than all the rest.
          expect(Math.min(...rows)).toBeGreaterThan(-1e-6);
          expect(Math.max(...rows)).toBeLessThan(40 + 1e-6);
          expect(length / (1600 / spacing)).toBeGreaterThan(0.97);
          expect(length / (1600 / spacing)).toBeLessThan(1.03);
        },
      ),
      { numRuns: members(30) },
    );
  });
});

describe("uniting in a tree", () => {
  test("makes what one call makes, whatever lies where", async () => {
    const place = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0, max: 24, noNaN: true })));
    await fc.assert(
      fc.asyncProperty(fc.array(place, { minLength: 1, maxLength: 14 }), async (places) => {
        const arena = new Arena();
        try {
          const box = arena.keep(engineSolid(boxMesh(6, 6, 6)));
          const solids = places.map(([x = 0, y = 0, z = 0]) => arena.keep(box.translate(x, y, z)));
          const volume = arena.keep(solidEngine().Manifold.union(solids)).volume();
          const shares: number[] = [];
          const united = await unitedSolids(solids, arena, (share) => Promise.resolve(void shares.push(share)));
          expect(united.volume()).toBeCloseTo(volume, 3);
          expect(shares.every((share) => share > 0 && share <= 1)).toBe(true);
        } finally {
          arena.release();
        }
      }),
      { numRuns: members(25) },
    );
  });
});

describe("small pictures of solids", () => {
  const design = partDesign({ kind: "rectangle", width: 20, height: 20 }, [], {
    finish: { fill: "#C8442B" },
    solid: { depth: 20 },
  });
  const shown = (pixels: Uint8ClampedArray) =>
    Array.from({ length: pixels.length / 4 }, (_, at) => pixels[at * 4 + 3] ?? 0).filter((alpha) => alpha > 0).length;

  test("a block fills its picture from edge to edge but for some room, and is the same each time", () => {
    const layout = layoutOf(design);
    const above = () => solidPicture(picturedLayout(layout), 100, 100, { around: 0, above: 90 });
    expect(shown(above())).toBeGreaterThan(0.88 * 0.88 * 10_000);
    expect(shown(above())).toBeLessThan(0.92 * 0.92 * 10_000);
    expect(above()).toEqual(above());
  });

  test("its sides are lit unlike, all in its own colour; copies and united bodies look alike", async () => {
    const corner = { around: 30, above: 30 };
    const copies = solidPicture(picturedLayout(layoutOf(design)), 80, 80, corner);
    const { bodies } = await modelOf(design);
    const united = solidPicture(picturedBodies(bodies), 80, 80, corner);
    let difference = 0;
    copies.forEach((value, index) => (difference += Math.abs(value - (united[index] ?? 0))));
    expect(difference / copies.length).toBeLessThan(1);
    const reds = new Set<number>();
    for (let at = 0; at < copies.length; at += 4) {
      const [red = 0, green = 0, blue = 0, alpha = 0] = copies.subarray(at, at + 4);
      if (alpha < 255) continue;
      reds.add(Math.round(red / 8));
      expect(green / red).toBeCloseTo(0x44 / 0xc8, 1);
      expect(blue / red).toBeCloseTo(0x2b / 0xc8, 1);
    }
    expect(reds.size).toBeGreaterThanOrEqual(3);
  });

  test("nothing is clear all over", () => {
    expect(shown(solidPicture([], 10, 10))).toBe(0);
  });
});
