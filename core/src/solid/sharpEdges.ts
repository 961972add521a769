import { at } from "../geometry/at";
import type { Mesh } from "../form/mesh";

/** Faces that meet at more than so many degrees show an edge. */
const SHARP = 28;

/** The edges of a mesh that are drawn: x, y and z of either end, one edge after the other. Millimetres. */
export function sharpEdges({ positions, triangles }: Mesh): Float32Array {
  const normals = normalsOf({ positions, triangles });
  const corners = positions.length / 3;
  const least = Math.cos((SHARP * Math.PI) / 180);
  const first = new Map<number, number>();
  const ends: number[] = [];
  for (let k = 0; k < triangles.length; k++) {
    const face = Math.floor(k / 3);
    const a = at(triangles, k);
    const b = at(triangles, face * 3 + ((k + 1) % 3));
    const key = Math.min(a, b) * corners + Math.max(a, b);
    const other = first.get(key);
    if (other === undefined) first.set(key, face);
    else if (dot(normals, face, other) < least) {
      ends.push(...positions.subarray(a * 3, a * 3 + 3), ...positions.subarray(b * 3, b * 3 + 3));
    }
  }
  return Float32Array.from(ends);
}

function dot(normals: Float64Array, a: number, b: number): number {
  return [0, 1, 2].reduce((sum, axis) => sum + at(normals, a * 3 + axis) * at(normals, b * 3 + axis), 0);
}

/** One unit vector a face, pointing out. */
export function normalsOf({ positions: p, triangles: t }: Mesh): Float64Array {
  const normals = new Float64Array(t.length);
  for (let k = 0; k + 2 < t.length; k += 3) {
    const [a, b, c] = [at(t, k) * 3, at(t, k + 1) * 3, at(t, k + 2) * 3];
    const side = (from: number, to: number, axis: number) => at(p, to + axis) - at(p, from + axis);
    const [ux, uy, uz] = [side(a, b, 0), side(a, b, 1), side(a, b, 2)];
    const [vx, vy, vz] = [side(a, c, 0), side(a, c, 1), side(a, c, 2)];
    const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const length = Math.hypot(x, y, z) || 1;
    normals.set([x / length, y / length, z / length], k);
  }
  return normals;
}
