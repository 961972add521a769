import type { Mesh } from "../../form/mesh";

/** Triangles that each bring their corners, as a mesh: corners in one place are one. */
export function welded(corners: Float32Array): Mesh {
  const known = new Map<string, number>();
  const positions: number[] = [];
  const triangles: number[] = [];
  for (let k = 0; k + 2 < corners.length; k += 3) {
    const place = corners.subarray(k, k + 3);
    const key = place.join();
    let corner = known.get(key);
    if (corner === undefined) {
      corner = positions.length / 3;
      known.set(key, corner);
      positions.push(...place);
    }
    triangles.push(corner);
  }
  const whole = triangles.flatMap((_, index) => (index % 3 === 0 ? isFace(triangles, index) : []));
  return { positions: Float32Array.from(positions), triangles: Uint32Array.from(whole) };
}

function isFace(triangles: readonly number[], from: number): readonly number[] {
  const [a = 0, b = 0, c = 0] = triangles.slice(from, from + 3);
  return a === b || b === c || c === a ? [] : [a, b, c];
}
