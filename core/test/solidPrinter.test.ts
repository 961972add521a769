import { beforeAll, describe, expect, test } from "@jest/globals";
import { DEVICES, formatOf, makeFile, type Design, type DeviceRun } from "../src";
import { TEST_HOST, withGeometryEngine, withSolidEngine } from "./prepared";
import { designWith, partDesign } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

const printer = DEVICES.find(({ kind }) => kind === "solid");
if (!printer) throw new Error("there is no printer of solids");

async function fileOf(extension: string, design: Design): Promise<Uint8Array> {
  const format = formatOf(extension);
  const made = format && (await makeFile(design, format, {}, TEST_HOST));
  if (!made || !("file" in made)) throw new Error(JSON.stringify(made));
  return typeof made.file === "string" ? new TextEncoder().encode(made.file) : made.file;
}

async function open(file: Uint8Array, settings: object = {}) {
  const read = printer?.readSettings(settings);
  if (!read || "refusal" in read) return read ?? { refusal: "" };
  const opened = await printer?.open(file, read.settings, TEST_HOST);
  if (!opened) throw new Error("nothing was opened");
  return opened;
}

async function run(file: Uint8Array, settings: object = {}): Promise<DeviceRun> {
  const opened = await open(file, settings);
  if ("refusal" in opened) throw new Error(opened.refusal);
  return opened;
}

const BLOCK = partDesign({ kind: "rectangle", width: 20, height: 10, at: { y: 5 } }, [], { solid: { depth: 6 } });
const TWO_COLORS = designWith({
  parts: [
    { id: "a", motif: { kind: "disc", radius: 10 }, finish: { fill: "#1E6F5C" }, solid: { depth: 4 } },
    { id: "b", motif: { kind: "disc", radius: 4 }, finish: { fill: "#C8442B" }, solid: { depth: 8 } },
  ],
});

describe("the printer of solids reads the file it is sent", () => {
  test.each(["stl", "3mf"])("%s: every layer of a block is laid, and reported in all", async (extension) => {
    const printed = await run(await fileOf(extension, BLOCK), { layer: 0.5 });
    expect(printed.steps).toBe(12);
    const steps = Array.from({ length: 12 }, (_, index) => printed.step(index));
    for (const { trace } of steps) expect(trace.area).toBeCloseTo(200, 3);
    const report = printed.report();
    expect(report.volume).toBeCloseTo(1200, 3);
    expect([report.width, report.depth, report.height]).toEqual([20, 10, 6]);
    expect(report.seconds).toBeCloseTo((report.length ?? 0) / 50, 6);
    expect(report.length).toBeCloseTo(
      steps.reduce((sum, { trace }) => sum + (trace.length ?? 0), 0),
      6,
    );
  });

  test("bodies of two colours that lie in each other are one", async () => {
    const printed = await run(await fileOf("3mf", TWO_COLORS), { layer: 1 });
    expect(printed.step(1).trace.area).toBeCloseTo(Math.PI * 100, 0);
    expect(printed.step(6).trace.area).toBeCloseTo(Math.PI * 16, 0);
  });

  test("a text STL is read too", async () => {
    const corners = [
      [0, 0, 0],
      [10, 0, 0],
      [0, 10, 0],
      [0, 0, 10],
    ];
    const faces = [
      [0, 2, 1],
      [0, 1, 3],
      [1, 2, 3],
      [2, 0, 3],
    ];
    const facet = (face: number[]) =>
      `facet normal 0 0 0\nouter loop\n${face.map((k) => `vertex ${corners[k]?.join(" ")}`).join("\n")}\nendloop\nendfacet`;
    const text = (given: number[][]) =>
      new TextEncoder().encode(`solid a\n${given.map(facet).join("\n")}\nendsolid a\n`);
    const printed = await run(text(faces), { layer: 0.1 });
    for (let index = 0; index < printed.steps; index++) printed.step(index);
    expect(printed.report().volume).toBeCloseTo(1000 / 6, 0);
    expect(await open(text(faces.slice(1)))).toEqual({
      refusal: expect.stringContaining("3 edges have a face on one side only"),
    });
  });
});

describe("it refuses in words", () => {
  test.each<[string, object, string]>([
    [
      "what leaves the bed",
      { frame: { width: 18, depth: 200, height: 200 } },
      "leaves the bed’s width of 18 mm by 1 mm",
    ],
    ["what is too high", { frame: { width: 200, depth: 200, height: 5 } }, "leaves the height of 5 mm by 1 mm"],
    ["settings that make no sense", { layer: -1 }, "settings.layer"],
  ])("%s", async (_, settings, words) => {
    expect(await open(await fileOf("3mf", BLOCK), settings)).toEqual({ refusal: expect.stringContaining(words) });
  });

  test("what reaches below the bed", async () => {
    const sunk = partDesign({ kind: "disc", radius: 5 }, [], { solid: { depth: 4, lift: -1 } });
    expect(await open(await fileOf("stl", sunk))).toEqual({ refusal: expect.stringContaining("1 mm below the bed") });
  });

  test.each<[string, Uint8Array, string]>([
    ["nothing at all", new Uint8Array(0), "no STL"],
    ["a picture", new TextEncoder().encode("<svg/>"), "no STL"],
    ["half a zip", Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0), "no 3MF"],
    ["a text without triangles", new TextEncoder().encode("solid a\nendsolid a"), "no triangles"],
    [
      "a corner that is no number",
      new TextEncoder().encode("solid a\nvertex 1 2 x\nvertex 1 2 3\nvertex 1 2 3"),
      "no number",
    ],
  ])("%s", async (_, file, words) => {
    expect(await open(file)).toEqual({ refusal: expect.stringContaining(words) });
  });
});
