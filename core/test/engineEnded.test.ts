import { beforeEach, describe, expect, test } from "@jest/globals";
import {
  buildScene,
  combine,
  EngineEnded,
  formatOf,
  LoadOnce,
  makeFile,
  SceneBuilder,
  usingGeometryEngine,
} from "../src";
import { withArena } from "../src/form/arena";
import { areaOfPath, polygonOf } from "../src/geometry/path";
import { TEST_HOST, withGeometryEngine, withSolidEngine } from "./prepared";
import { designWith } from "./testDesign";

/** What the test needs of the engines' language, which the types for Node leave out. */
declare const WebAssembly: {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Instance: new (module: object) => { readonly exports: Readonly<Record<string, unknown>> };
};

/** A WebAssembly module whose one function does nothing but end it. */
const TRAP = Uint8Array.from([
  ...[0x00, 0x61, 0x73, 0x6d, 0x01, 0x00, 0x00, 0x00],
  ...[0x01, 0x04, 0x01, 0x60, 0x00, 0x00],
  ...[0x03, 0x02, 0x01, 0x00],
  ...[0x07, 0x05, 0x01, 0x01, 0x74, 0x00, 0x00],
  ...[0x0a, 0x05, 0x01, 0x03, 0x00, 0x00, 0x0b],
]);

/** Fails as an engine does that has ended. */
function trap(): never {
  const run = new WebAssembly.Instance(new WebAssembly.Module(TRAP)).exports["t"];
  if (typeof run === "function") run();
  throw new Error("it did not end");
}

const square = (x: number) => [
  polygonOf([
    { x, y: 0 },
    { x: x + 10, y: 0 },
    { x: x + 10, y: 10 },
    { x, y: 10 },
  ]),
];
const areaOfBoth = () => Math.abs(areaOfPath(combine([square(0), square(5)], "union")));

const MERGED = designWith({
  parts: [
    {
      id: "a",
      motif: { kind: "disc", radius: 10 },
      rules: [{ kind: "ring", count: 5, radius: 12 }],
      join: { mode: "merge" },
    },
  ],
});

beforeEach(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

describe("an engine that ended", () => {
  test("is not used again before it is loaded anew, and works then as before", async () => {
    expect(areaOfBoth()).toBeCloseTo(150, 6);
    expect(() => usingGeometryEngine(trap)).toThrow(EngineEnded);
    expect(areaOfBoth).toThrow(EngineEnded);
    await withGeometryEngine();
    expect(areaOfBoth()).toBeCloseTo(150, 6);
  });

  test("is told at the part it ended under, what drives that first, and the picture before stays", async () => {
    const builder = new SceneBuilder();
    const before = builder.build(MERGED);
    expect(before.problems).toEqual([]);
    expect(() => usingGeometryEngine(trap)).toThrow(EngineEnded);
    const wider = designWith({
      parts: [{ ...MERGED.parts[0], id: "a", rules: [{ kind: "ring", count: 5, radius: 13 }] }],
    });
    const ended = builder.build(wider);
    expect(ended.problems.map(({ path, message }) => [path, message.slice(0, 47)])).toEqual([
      ["parts[0].rules[0].count", "what combines shapes has ended under them; it i"],
    ]);
    expect(ended.parts[0]?.geometry).toBe(before.parts[0]?.geometry);
    expect((await builder.buildPrepared(wider, TEST_HOST)).problems).toEqual([]);
  });

  test("keeps no file from being made: each loads what it needs", async () => {
    expect(() => withArena(trap)).toThrow(EngineEnded);
    const standing = designWith({ parts: [{ ...MERGED.parts[0], id: "a", solid: { depth: 3 } }] });
    const [stl, svg] = [formatOf("x.stl"), formatOf("x.svg")];
    if (!stl || !svg) throw new Error("a format is missing");
    expect(await makeFile(standing, stl, {}, TEST_HOST)).toHaveProperty("file");
    expect(() => usingGeometryEngine(trap)).toThrow(EngineEnded);
    expect(await makeFile(MERGED, svg, {}, TEST_HOST)).toHaveProperty("file");
  });

  test("is one thing, and an error of the work another: that is thrown as it is", () => {
    const wrong = () => {
      throw new TypeError("a fault of the work");
    };
    expect(() => usingGeometryEngine(wrong)).toThrow("a fault of the work");
    expect(areaOfBoth()).toBeCloseTo(150, 6);
    expect(buildScene(MERGED).problems).toEqual([]);
  });

  test("is noticed in work that takes its time, too", async () => {
    const thing = new LoadOnce<number>();
    await thing.load(() => Promise.resolve(1));
    await expect(thing.guardLong(() => Promise.resolve().then(trap))).rejects.toThrow(EngineEnded);
    expect(() => thing.get("")).toThrow(EngineEnded);
    await thing.load(() => Promise.resolve(2));
    expect(thing.get("")).toBe(2);
  });
});
