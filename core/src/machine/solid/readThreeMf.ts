import { strFromU8, unzipSync } from "fflate";
import { SaxesParser } from "saxes";
import type { Mesh } from "../../form/mesh";
import type { Refusal } from "../device";
import { welded } from "./welded";

/** Millimetres in each unit the format knows. */
const UNITS: Readonly<Record<string, number>> = {
  micron: 0.001,
  millimeter: 1,
  centimeter: 10,
  inch: 25.4,
  foot: 304.8,
  meter: 1000,
};

/** Bytes a model may unfold to: nothing that small files blow up to is read. */
const MOST_BYTES = 400 * 2 ** 20;

/** Reads a 3MF: every object of its model as one mesh each, millimetres. */
export function readThreeMf(file: Uint8Array): readonly Mesh[] | Refusal {
  let model: Uint8Array | undefined;
  try {
    const unzipped = unzipSync(file, {
      filter: ({ name, originalSize }) => name.endsWith(".model") && originalSize < MOST_BYTES,
    });
    model = Object.values(unzipped)[0];
  } catch {
    return { refusal: "The file is no 3MF: it is no zip archive, or it is broken." };
  }
  if (!model) return { refusal: "The 3MF has no model in it, or one that is too large to be read." };
  try {
    return readModel(strFromU8(model));
  } catch (error) {
    return { refusal: `The 3MF’s model cannot be read: ${error instanceof Error ? error.message : String(error)}` };
  }
}

function readModel(text: string): readonly Mesh[] {
  const meshes: { positions: number[]; triangles: number[] }[] = [];
  let unit = 1;
  const parser = new SaxesParser({ fragment: false });
  parser.on("error", (error) => {
    throw error;
  });
  parser.on("doctype", () => {
    throw new Error("it has a document type, which no model needs");
  });
  parser.on("opentag", ({ name, attributes }) => {
    const number = (key: string) => {
      const value = Number(attributes[key]);
      if (attributes[key] === undefined || !Number.isFinite(value)) throw new Error(`a ${name} has no number ${key}`);
      return value;
    };
    const mesh = meshes.at(-1);
    if (name === "model") unit = typeof attributes.unit === "string" ? (UNITS[attributes.unit] ?? 1) : 1;
    else if (name === "mesh") meshes.push({ positions: [], triangles: [] });
    else if (name === "vertex" && mesh) mesh.positions.push(number("x") * unit, number("y") * unit, number("z") * unit);
    else if (name === "triangle" && mesh) mesh.triangles.push(number("v1"), number("v2"), number("v3"));
  });
  parser.write(text).close();
  return meshes.map(({ positions, triangles }) => {
    const corners = positions.length / 3;
    if (triangles.some((corner) => !Number.isInteger(corner) || corner < 0 || corner >= corners)) {
      throw new Error("a triangle names a corner that is not there");
    }
    return welded(Float32Array.from(triangles.flatMap((corner) => positions.slice(3 * corner, 3 * corner + 3))));
  });
}
