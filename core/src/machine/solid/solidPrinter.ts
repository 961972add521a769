import { SOLID_MAKING } from "../../design/makingFields";
import { loadSolidEngine } from "../../engines/solidEngine";
import { boxOfMesh, volumeOfMesh, type Mesh, type SpaceBox } from "../../form/mesh";
import type { ResolvedOf } from "../../fields/field";
import { lengthOfLayer, Slicer } from "../../solid/layers";
import { openEdges } from "../../solid/meshEdges";
import { settingsBy } from "../settings";
import type { Device, DeviceRun, Refusal } from "../device";
import { readStl } from "./readStl";
import { readThreeMf } from "./readThreeMf";

type Settings = ResolvedOf<typeof SOLID_MAKING.fields>;

const { readSettings, isSettings } = settingsBy(SOLID_MAKING);

/** What is nearer than this to the bed lies on it, millimetres. */
const ON_BED = 0.01;
/** Triangles it reads at most. */
const MOST_TRIANGLES = 3_000_000;

/** The simulated printer of solids: reads a 3MF or an STL, slices it itself, and lays it layer by layer. */
export const solidPrinter: Device = {
  kind: "solid",
  name: "printer of solids",
  reads: ["3mf", "stl"],
  stepName: "layer",
  readSettings,
  async open(file, settings, { solidEngine: wasm }) {
    if (!isSettings(settings)) throw new Error("these are not the settings of the printer of solids");
    const read = meshesIn(file);
    if ("refusal" in read) return read;
    const refusal = refusalOf(read, settings);
    if (refusal !== null) return { refusal };
    await loadSolidEngine(wasm);
    return runOf(read, settings);
  },
};

function meshesIn(file: Uint8Array): readonly Mesh[] | Refusal {
  // A zip archive begins with these two letters.
  if (file[0] === 0x50 && file[1] === 0x4b) return readThreeMf(file);
  const read = readStl(file);
  return "refusal" in read ? read : [read];
}

function refusalOf(meshes: readonly Mesh[], { frame }: Settings): string | null {
  const triangles = meshes.reduce((sum, mesh) => sum + mesh.triangles.length / 3, 0);
  if (triangles === 0) return "There is nothing to print: the file has no triangles.";
  if (triangles > MOST_TRIANGLES)
    return `The file has ${triangles.toLocaleString("en")} triangles; this printer reads 3,000,000: make the tolerance coarser.`;
  const open = meshes.reduce((sum, mesh) => sum + openEdges(mesh).length / 2, 0);
  if (open > 0)
    return `The surface is open: ${open.toLocaleString("en")} edges have a face on one side only. What is inside cannot be told; close it and send it again.`;
  if (!(meshes.reduce((sum, mesh) => sum + volumeOfMesh(mesh), 0) > 0))
    return "The surface closes, but not into a solid: its faces look inwards, or have nothing between them. Turn them and send it again.";
  return leavingFrame(boxesOf(meshes), frame);
}

const boxesOf = (meshes: readonly Mesh[]) => meshes.flatMap((mesh) => boxOfMesh(mesh) ?? []);

/** From where to where along an axis. */
function reachOf(boxes: readonly SpaceBox[], axis: 0 | 1 | 2): { low: number; high: number } {
  return {
    low: Math.min(...boxes.map(({ min }) => min[axis])),
    high: Math.max(...boxes.map(({ max }) => max[axis])),
  };
}

function leavingFrame(boxes: readonly SpaceBox[], { width, depth, height }: Settings["frame"]): string | null {
  const mm = (length: number) => `${Number(length.toFixed(2))} mm`;
  const [x, y, z] = [reachOf(boxes, 0), reachOf(boxes, 1), reachOf(boxes, 2)];
  if (z.low < -ON_BED) return `The solid reaches ${mm(-z.low)} below the bed; lift it, or let it rest.`;
  const beyond = [
    { by: Math.max(-width / 2 - x.low, x.high - width / 2), words: `the bed’s width of ${mm(width)}` },
    { by: Math.max(-depth / 2 - y.low, y.high - depth / 2), words: `the bed’s depth of ${mm(depth)}` },
    { by: z.high - height, words: `the height of ${mm(height)}` },
  ].find(({ by }) => by > ON_BED);
  return beyond
    ? `The solid leaves ${beyond.words} by ${mm(beyond.by)}; make it smaller, move it, or choose a larger bed.`
    : null;
}

/** All objects of a file are laid together; those of different colours may touch. */
function runOf(meshes: readonly Mesh[], settings: Settings): DeviceRun {
  const slicer = new Slicer(meshes, settings);
  const done = { layers: 0, length: 0, seconds: 0, volume: 0, material: 0 };
  return {
    steps: slicer.places.length,
    step(index) {
      const layer = slicer.layer(index);
      const length = lengthOfLayer(layer);
      const seconds = length / settings.speed;
      const material = length * settings.lineWidth * layer.height;
      done.layers += 1;
      done.length += length;
      done.seconds += seconds;
      done.volume += layer.area * layer.height;
      done.material += material;
      return { seconds, trace: { layer: index, z: layer.z, height: layer.height, area: layer.area, length } };
    },
    report() {
      const boxes = boxesOf(meshes);
      const [x, y, z] = [reachOf(boxes, 0), reachOf(boxes, 1), reachOf(boxes, 2)];
      const [width, depth, height] = [x.high - x.low, y.high - y.low, z.high - z.low];
      // Grams, of cubic millimetres at so many grams a cubic centimetre.
      const grams = (done.material / 1000) * settings.density;
      return { ...done, grams, width, depth, height };
    },
  };
}
