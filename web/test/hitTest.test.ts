import { beforeAll, describe, expect, test } from "@jest/globals";
import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import fc from "fast-check";
import { buildScene, loadGeometryEngine, readDesign, type Scene } from "@twin-petal/core";
import "./canvasOfAreas";
import { faceAt } from "@/paint/faceAt";
import { copyAt } from "@/paint/hitTest";

beforeAll(() =>
  loadGeometryEngine(() => readFile(createRequire(import.meta.url).resolve("clipper2-wasm/dist/umd/clipper2z.wasm"))),
);

function sceneOf(...parts: readonly object[]): Scene {
  const { design, problems } = readDesign({ format: "twin-petal/1", parts });
  if (!design) throw new Error(JSON.stringify(problems));
  return buildScene(design);
}

const disc = (id: string, more: object = {}) => ({ id, motif: { kind: "disc", radius: 10 }, ...more });
const ROW = [{ kind: "grid", columns: 5, rows: 1, pitch: { x: 30, y: 30 } }];
const found = (scene: Scene, x: number, y: number, only?: string) => {
  const copy = copyAt(scene, { x, y }, 4, only);
  return copy && [copy.part, copy.copy];
};

describe("what is under the pointer", () => {
  test("the copy whose area it is in; between copies none; the matrix is that copy's own", () => {
    const scene = sceneOf(disc("a", { rules: ROW }));
    const { matrices } = scene.parts[0]?.geometry.placements ?? { matrices: [] };
    for (let copy = 0; copy < 5; copy++) {
      const [x = 0, y = 0] = [matrices[copy * 6 + 4], matrices[copy * 6 + 5]];
      expect(found(scene, x + 6, y - 6)).toEqual(["a", copy]);
      expect(found(scene, x + 15, y)).toBeNull();
      expect(copyAt(scene, { x, y }, 4)?.matrix).toEqual([1, 0, 0, 1, x, y]);
    }
  });

  test("of parts that lie over each other the topmost, of copies the last; a part asked for by name is found below", () => {
    const scene = sceneOf(disc("low"), disc("high"), disc("hidden", { visible: false }));
    expect(found(scene, 0, 0)).toEqual(["high", 0]);
    expect(found(scene, 0, 0, "low")).toEqual(["low", 0]);
    expect(found(scene, 0, 0, "hidden")).toBeNull();
    const pile = sceneOf(disc("pile", { rules: [{ kind: "step", count: 3, move: { x: 5, y: 0 } }] }));
    expect(found(pile, 8, 0)).toEqual(["pile", 2]);
  });

  test("a line is found some pixels beside it, however large it is shown; its inside is not it", () => {
    const scene = sceneOf(disc("ring", { finish: { fill: null, line: { width: 1 } } }));
    expect(found(scene, 0, 0)).toBeNull();
    for (const scale of [1, 4, 20]) {
      const beside = (pixels: number) => copyAt(scene, { x: 10 + 0.5 + pixels / scale, y: 0 }, scale);
      expect(beside(3)).not.toBeNull();
      expect(beside(6)).toBeNull();
    }
  });

  test("turned, mirrored and skewed copies are found where they stand", () => {
    const rules = fc.constantFrom<object>(
      { kind: "turn", count: 7, pivot: { x: 60, y: 0 } },
      { kind: "step", count: 4, turn: 40, scale: { x: 0.8, y: 1.2 }, move: { x: 40, y: 10 } },
      { kind: "reflect", through: { x: 45, y: 0 }, angle: 20 },
    );
    fc.assert(
      fc.property(
        rules,
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        (rule, share, turn) => {
          const scene = sceneOf(disc("a", { rules: [rule] }));
          const { matrices, count } = scene.parts[0]?.geometry.placements ?? { matrices: [], count: 0 };
          const [u, v] = [Math.cos(turn) * share * 10, Math.sin(turn) * share * 10];
          for (let copy = 0; copy < count; copy++) {
            const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = Array.from(matrices.slice(copy * 6, copy * 6 + 6));
            const hit = found(scene, a * u + c * v + e, b * u + d * v + f);
            // A later one may lie over it.
            expect(hit?.[0]).toBe("a");
            expect(Number(hit?.[1])).toBeGreaterThanOrEqual(copy);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("the face under the pointer", () => {
  test("of two discs: each moon by itself, what both cover alone, and all that are coloured alike", () => {
    const rules = [{ kind: "turn", count: 2, pivot: { x: 6, y: 0 } }];
    const scene = sceneOf(disc("a", { rules, join: { mode: "faces", colors: ["#AA0000", "#00AA00"] } }));
    const geometry = scene.parts[0]?.geometry;
    if (!geometry) throw new Error("no part");
    const faces = [-7, 6, 19].map((x) => faceAt(geometry, { x, y: 0 }));
    expect(faces.every((face) => face !== null)).toBe(true);
    expect(new Set(faces.map((face) => face?.name)).size).toBe(3);
    expect(faces[0]?.color).toBe(faces[2]?.color);
    expect(faces[1]?.color).not.toBe(faces[0]?.color);
    expect(faces[0]?.alike).toBe(faces[2]?.alike);
    expect(faces[0]?.alike.length).toBeGreaterThan(faces[0]?.outline.length ?? 0);
    expect(faceAt(geometry, { x: 60, y: 0 })).toBeNull();
  });
});
