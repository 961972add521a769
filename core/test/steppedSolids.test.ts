import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { checkSolids, formatOf, layersOf, makeBodies, makeFile, resolveDesign, type Design, type Path } from "../src";
import { TEST_HOST, withGeometryEngine, withSolidEngine } from "./prepared";
import { members } from "./randomMembers";
import { scannedArea } from "./scanLines";
import { outlinesOf, partOf } from "./scenes";
import { layoutOf } from "./solidModels";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

/** How far straight pieces leave curves, millimetres. */
const TOLERANCE = 0.002;
const COLORS = ["#1E6F5C", "#C8442B"];
const radius = fc.constantFrom(4, 5, 6, 8, 10, 12);
const motif = fc.oneof(
  fc.record({ kind: fc.constant("disc"), radius }),
  fc.record({ kind: fc.constant("rectangle"), width: fc.constantFrom(8, 12, 20), height: fc.constantFrom(8, 12, 24) }),
  fc.record({ kind: fc.constant("polygon"), sides: fc.constantFrom(3, 4, 6), radius }),
  fc.record({ kind: fc.constant("ring"), outer: fc.constantFrom(8, 10, 12), inner: fc.constantFrom(4, 5, 6) }),
);
const rules = fc.constantFrom<object[]>(
  [],
  [],
  [{ kind: "ring", count: 6, radius: 10 }],
  [{ kind: "ring", count: 8, radius: 12 }],
  [{ kind: "grid", columns: 3, rows: 2, pitch: 10 }],
  [{ kind: "grid", columns: 3, rows: 2, pitch: 16 }],
);
/** Where the next part stands: on the last one, beside it, or half within it; depths lie on no layer's grid. */
const storey = fc.record({
  motif,
  rules,
  depth: fc.constantFrom(1, 1.3, 2, 2.5),
  on: fc.constantFrom(1, 1, 0, 0.5),
  x: fc.constantFrom(0, 0, 4, 10),
  turn: fc.constantFrom(0, 0, 30, 45, 90),
  fill: fc.constantFrom(...COLORS),
});
const storeys = fc.array(storey, { minLength: 1, maxLength: 4 });

interface Slab {
  readonly outlines: readonly Path[];
  readonly from: number;
  readonly to: number;
}

function stackOf(given: typeof storeys extends fc.Arbitrary<infer T> ? T : never): Design {
  let lift = 0;
  const parts = given.map(({ motif, rules, depth, on, x, turn, fill }, index) => {
    const part = { id: `p${index}`, motif, rules, at: { x, turn }, finish: { fill }, solid: { depth, lift } };
    lift += on * depth;
    return part;
  });
  return designWith({ parts });
}

/** What all parts enclose together: between any two heights at which one begins or ends, what any outline covers. */
function scannedVolume(design: Design): number {
  const slabs = design.parts.map(({ id, solid }): Slab => {
    const { depth, lift } = Object(solid);
    return { outlines: outlinesOf(partOf(design, id)), from: lift, to: lift + depth };
  });
  const heights = [...new Set(slabs.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  return heights.slice(1).reduce((sum, to, index) => {
    const from = heights[index] ?? 0;
    const there = slabs.filter((slab) => slab.from < to && slab.to > from).flatMap(({ outlines }) => outlines);
    const area = there.length === 0 ? 0 : scannedArea(there, (windings) => windings.some((winding) => winding !== 0));
    return sum + area * (to - from);
  }, 0);
}

/** The triangles of a binary STL, nine numbers each. */
function facetsOf(file: Uint8Array): number[][] {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  return Array.from({ length: view.getUint32(80, true) }, (_, facet) =>
    Array.from({ length: 9 }, (_, k) => view.getFloat32(84 + facet * 50 + 12 + 4 * k, true)),
  );
}

/** Gauss's theorem over z: what lies under each facet that looks up, less what lies under those that look down. */
function volumeOf(facets: readonly number[][]): number {
  return facets.reduce((sum, [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0]) => {
    const shadow = ((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / 2;
    return sum + (shadow * (az + bz + cz)) / 3;
  }, 0);
}

const cornersOf = (facet: readonly number[]) => [0, 3, 6].map((k) => facet.slice(k, k + 3).join(" "));

/** How many edges more than two facets share. */
function crowdedEdges(facets: readonly number[][]): number {
  const edges = new Map<string, number>();
  for (const facet of facets) {
    const corners = cornersOf(facet);
    corners.forEach((corner, k) => {
      const edge = [corner, corners[(k + 1) % 3]].sort().join(" to ");
      edges.set(edge, (edges.get(edge) ?? 0) + 1);
    });
  }
  return [...edges.values()].filter((count) => count > 2).length;
}

async function madeOf(design: Design) {
  const layout = layoutOf(design, TOLERANCE);
  const { bodies, whole } = await makeBodies(layout, () => Promise.resolve(), true);
  if (!whole) throw new Error("nothing stands");
  const checks = checkSolids({ bodies, whole }, layout, resolveDesign(design).making.solid);
  const figure = (kind: string, name: string) => {
    const figures: Record<string, number> = checks.find((check) => check.kind === kind)?.figures ?? {};
    return figures[name] ?? NaN;
  };
  return { bodies, whole, figure };
}

async function stlOf(design: Design): Promise<number[][]> {
  const format = formatOf("stl");
  const made = format && (await makeFile(design, format, { tolerance: TOLERANCE }, TEST_HOST));
  if (!made || !("file" in made) || typeof made.file === "string") throw new Error(JSON.stringify(made));
  return facetsOf(made.file);
}

async function notesOf(extension: string, design: Design): Promise<readonly string[]> {
  const format = formatOf(extension);
  const made = format && (await makeFile(design, format, {}, TEST_HOST));
  if (!made || !("file" in made)) throw new Error(JSON.stringify(made));
  return made.notes;
}

describe("whatever stands on, beside or within each other, sharing faces, edges and radii", () => {
  test("what is told, what is laid and what is written is one solid, without a facet that has no area", async () => {
    await fc.assert(
      fc.asyncProperty(storeys, fc.constantFrom(0.2, 0.21, 0.3), async (given, layer) => {
        const design = stackOf(given);
        const { whole, bodies, figure } = await madeOf(design);
        const facets = await stlOf(design);
        const written = volumeOf(facets);
        const told = figure("amount", "volume");
        const scanned = scannedVolume(design);
        expect(Math.abs(told / written - 1)).toBeLessThan(5e-4);
        expect(Math.abs(written / scanned - 1)).toBeLessThan(2e-3);
        expect(Math.abs(bodies.reduce((sum, { volume }) => sum + volume, 0) / told - 1)).toBeLessThan(5e-4);
        let laid = 0;
        const settings = { layer, walls: 0, filling: 0, lineWidth: 0.4 };
        for (const { area, height } of layersOf(whole, settings)) laid += area * height;
        expect(Math.abs(laid / scanned - 1)).toBeLessThan(5e-3);
        for (const facet of facets) expect(new Set(cornersOf(facet)).size).toBe(3);
        expect(figure("touching", "edges")).toBe(crowdedEdges(facets));
        // A colour that another covers whole leaves no film.
        for (const { volume, area } of bodies) expect((2 * volume) / area).toBeGreaterThan(1e-3);
      }),
      { numRuns: members(5) },
    );
  });

  test("three storeys of discs: the volume by hand, layers that end where the steps are", async () => {
    const disc = (id: string, size: number, depth: number, lift: number) => ({
      id,
      motif: { kind: "disc", radius: size },
      solid: { depth, lift },
    });
    const design = designWith({ parts: [disc("a", 10, 1.5, 0), disc("b", 8, 1.25, 1.5), disc("c", 5, 0.9, 2.75)] });
    const { whole, figure } = await madeOf(design);
    const volume = Math.PI * (100 * 1.5 + 64 * 1.25 + 25 * 0.9);
    expect(Math.abs(figure("amount", "volume") / volume - 1)).toBeLessThan(5e-4);
    const layers = [...layersOf(whole, { layer: 0.2, walls: 0, filling: 0, lineWidth: 0.4 })];
    const ends = layers.map(({ z, height }) => z + height / 2);
    for (const step of [1.5, 2.75, 3.65])
      expect(Math.min(...ends.map((end) => Math.abs(end - step)))).toBeLessThan(1e-5);
    for (const { height } of layers) expect(height).toBeLessThanOrEqual(0.2 + 1e-9);
    expect(layers).toHaveLength(8 + 7 + 5);
  });

  test("two blocks that meet in one edge are two pieces, and told; a tenth further apart nothing is", async () => {
    const blocks = (x: number) =>
      designWith({
        parts: [0, 1].map((k) => ({
          id: `p${k}`,
          motif: { kind: "rectangle", width: 10, height: 10 },
          at: { x: k * x, y: 10 * k },
          solid: { depth: 3 },
        })),
      });
    const { figure, bodies } = await madeOf(blocks(10));
    expect(figure("touching", "edges")).toBeGreaterThan(0);
    expect(bodies.map(({ pieces, genus }) => [pieces, genus])).toEqual([[2, 0]]);
    expect((await madeOf(blocks(10.1))).figure("touching", "edges")).toBe(0);
    for (const extension of ["stl", "3mf", "obj", "glb"]) {
      expect(await notesOf(extension, blocks(10))).toEqual([expect.stringContaining("the solids only touch along")]);
      expect(await notesOf(extension, blocks(10.1))).toEqual([]);
    }
  });

  test("a colour that lies wholly within a later one has no body", async () => {
    const design = designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc", radius: 12 },
          at: { turn: 45 },
          finish: { fill: "#1E6F5C" },
          solid: { depth: 3 },
        },
        {
          id: "b",
          motif: { kind: "disc", radius: 12 },
          rules: [{ kind: "step", count: 4, rise: 1 }],
          finish: { fill: "#C8442B" },
          solid: { depth: 1 },
        },
      ],
    });
    expect((await madeOf(design)).bodies.map(({ color }) => color)).toEqual(["#C8442B"]);
  });
});
