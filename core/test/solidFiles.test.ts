import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { DOMParser } from "linkedom";
import { Box3, Color, Mesh, type BufferGeometry, type Object3D } from "three";
import { ThreeMFLoader } from "three/addons/loaders/3MFLoader.js";
import { GLTFLoader } from "three/addons/loaders/GLTFLoader.js";
import { OBJLoader } from "three/addons/loaders/OBJLoader.js";
import { formatOf, makeFile, volumeOfMesh, type Design } from "../src";
import { TEST_HOST, withGeometryEngine, withSolidEngine } from "./prepared";
import { modelOf } from "./solidModels";
import { designWith } from "./testDesign";

beforeAll(async () => {
  // The readers want what browsers have.
  Object.assign(globalThis, { DOMParser, self: globalThis });
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

const hoop = (radius: number) => ({ kind: "polygon", sides: 10, radius, start: 0 });
/** Alternately coloured petals that touch, raised and tilted, beside a tilted hoop; everything rests. */
const DESIGN = designWith({
  name: "Foot & bath",
  parts: [
    {
      id: "petals",
      motif: { kind: "petal", length: 30, width: 12 },
      rules: [
        { kind: "turn", count: 8 },
        { kind: "vary", tiltX: "20 + 10 * mod(i, 2)", rise: "i / 4" },
      ],
      finish: { fill: { kind: "cycle", colors: ["#1E6F5C", "#C8442B"] } },
      solid: { depth: 3, edge: { size: 0.8 }, lift: "rest" },
    },
    {
      id: "hoop",
      motif: { kind: "compound", op: "difference", of: [hoop(25), hoop(21)] },
      finish: { fill: "#D9A24B" },
      solid: { depth: 4, tilt: { y: 12 }, lift: "rest" },
    },
  ],
});

/** Each is made once for all tests that read it. */
const files = new Map<string, Promise<Uint8Array<ArrayBuffer>>>();
let model: ReturnType<typeof modelOf> | null = null;
const modelOnce = () => (model ??= modelOf(DESIGN));

function fileOf(extension: string): Promise<Uint8Array<ArrayBuffer>> {
  const known = files.get(extension) ?? madeAs(extension, DESIGN);
  files.set(extension, known);
  return known;
}

async function madeAs(extension: string, design: Design): Promise<Uint8Array<ArrayBuffer>> {
  const format = formatOf(extension);
  if (!format) throw new Error(`no format ${extension}`);
  const made = await makeFile(design, format, {}, TEST_HOST);
  if (!("file" in made)) throw new Error(JSON.stringify(made));
  return typeof made.file === "string" ? new TextEncoder().encode(made.file) : made.file;
}

/** What a reader found: the volume of everything, its box, and its colours. Millimetres, z up. */
function readBack(object: Object3D) {
  object.updateMatrixWorld(true);
  const colors = new Set<string>();
  let volume = 0;
  object.traverse((child) => {
    if (!(child instanceof Mesh)) return;
    const geometry: BufferGeometry = child.geometry.clone().applyMatrix4(child.matrixWorld);
    const positions = Float32Array.from(geometry.getAttribute("position").array);
    const index = geometry.getIndex();
    const triangles = Uint32Array.from(index?.array ?? positions.subarray(0, positions.length / 3).keys());
    volume += volumeOfMesh({ positions, triangles });
    const own = geometry.getAttribute("color");
    const material: { color?: Color } = child.material;
    const color = own ? new Color(own.getX(0), own.getY(0), own.getZ(0)) : (material.color ?? new Color());
    colors.add(`#${color.getHexString().toUpperCase()}`);
  });
  return { volume, box: new Box3().setFromObject(object, true), colors: [...colors].sort() };
}

const textOf = (bytes: Uint8Array) => new TextDecoder().decode(bytes);

describe("files of solids are read back by software nobody here wrote", () => {
  const readers: [string, (bytes: Uint8Array<ArrayBuffer>) => Promise<Object3D> | Object3D, number][] = [
    ["3mf", (bytes) => new ThreeMFLoader().parse(bytes.buffer), 1],
    ["obj", (bytes) => new OBJLoader().parse(textOf(bytes)), 1],
    ["glb", async (bytes) => (await new GLTFLoader().parseAsync(bytes.buffer, "")).scene, 0.001],
  ];

  test.each(readers)("%s: the same volume, box and colours", async (extension, read, unit) => {
    const { bodies } = await modelOnce();
    const volume = bodies.reduce((sum, body) => sum + body.volume, 0);
    const object = await read(await fileOf(extension));
    // A glTF has y up.
    if (extension === "glb") object.rotateX(Math.PI / 2);
    const { box, colors, volume: read3 } = readBack(object);
    expect(read3 / unit ** 3 / volume).toBeCloseTo(1, 5);
    expect(colors).toEqual(["#1E6F5C", "#C8442B", "#D9A24B"]);
    expect(box.min.z / unit).toBeCloseTo(0, 3);
    const size = bodies.reduce((most, { mesh }) => Math.max(most, ...mesh.positions), 0);
    expect(Math.max(box.max.x, box.max.y, box.max.z) / unit).toBeCloseTo(size, 3);
  });

  test("stl: no open edge, and the same volume", async () => {
    const { bodies } = await modelOnce();
    const path = join(mkdtempSync(join(tmpdir(), "twin-petal-")), "a.stl");
    writeFileSync(path, await fileOf("stl"));
    const checked = execFileSync("admesh", [path], { encoding: "utf8" });
    expect(/Facets with 1 disconnected edge\s*:\s*(\d+)/.exec(checked)?.[1]).toBe("0");
    expect(/Total disconnected facets\s*:\s*(\d+)/.exec(checked)?.[1]).toBe("0");
    expect(
      Number(/Volume\s*:\s*([\d.]+)/.exec(checked)?.[1]) / bodies.reduce((sum, { volume }) => sum + volume, 0),
    ).toBeCloseTo(1, 4);
  });

  test("a coarser tolerance makes a smaller file", async () => {
    for (const extension of ["stl", "3mf", "obj", "glb"]) {
      const format = formatOf(extension);
      if (!format) throw new Error(`no format ${extension}`);
      const made = await makeFile(DESIGN, format, { tolerance: 0.2 }, TEST_HOST);
      const size = "file" in made ? made.file.length : NaN;
      const fine = await fileOf(extension);
      expect(size).toBeLessThan(fine.length * 0.8);
    }
  });

  test("a design without solids is refused in words, and wrong solids say where", async () => {
    const flat = designWith({ name: "Flat", parts: [{ id: "a", motif: { kind: "disc" } }] });
    const stl = formatOf("stl");
    if (!stl) throw new Error("no STL");
    expect(await makeFile(flat, stl, {}, TEST_HOST)).toEqual({
      refusal: expect.stringContaining("no part that stands up"),
    });
    const eaten = designWith({
      parts: [
        { id: "a", name: "Lid", motif: { kind: "disc", radius: 5 }, solid: { depth: 2 } },
        { id: "b", motif: { kind: "disc", radius: 9 }, solid: { depth: 4, role: "cutter" } },
      ],
    });
    expect(await makeFile(eaten, stl, {}, TEST_HOST)).toEqual({
      problems: [{ path: "parts[0].solid", message: expect.stringContaining("Lid is taken away whole") }],
    });
  });
});
