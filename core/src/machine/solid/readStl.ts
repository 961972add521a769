import { strFromU8 } from "fflate";
import type { Mesh } from "../../form/mesh";
import type { Refusal } from "../device";
import { welded } from "./welded";

const HEAD = 80;
const FACET = 50;

/** Reads an STL, binary or text: a bag of triangles. */
export function readStl(file: Uint8Array): Mesh | Refusal {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  const count = file.byteLength >= HEAD + 4 ? view.getUint32(HEAD, true) : -1;
  if (count >= 0 && file.byteLength === HEAD + 4 + count * FACET) return welded(binaryCorners(view, count));
  const text = strFromU8(file);
  if (!text.trimStart().startsWith("solid"))
    return { refusal: "The file is no STL: it has neither the length nor the first word of one." };
  const numbers = [...text.matchAll(/vertex\s+(\S+)\s+(\S+)\s+(\S+)/g)].flatMap(([, x, y, z]) => [
    Number(x),
    Number(y),
    Number(z),
  ]);
  if (numbers.some((value) => !Number.isFinite(value))) return { refusal: "The STL has a corner that is no number." };
  if (numbers.length % 9 !== 0) return { refusal: "The STL ends in the middle of a triangle; send it again." };
  return welded(Float32Array.from(numbers));
}

function binaryCorners(view: DataView, count: number): Float32Array {
  const corners = new Float32Array(count * 9);
  for (let facet = 0; facet < count; facet++) {
    // The first three numbers are its normal, which follows from its corners.
    const from = HEAD + 4 + facet * FACET + 12;
    for (let k = 0; k < 9; k++) corners[facet * 9 + k] = view.getFloat32(from + k * 4, true);
  }
  return corners;
}
