/** A closed surface of triangles, plain data that can be handed to a worker. */
export interface Mesh {
  /** x, y and z of every corner, millimetres. */
  readonly positions: Float32Array;
  /** Three corners a triangle, anticlockwise as seen from outside. */
  readonly triangles: Uint32Array;
}

/** How many triangles it has. */
export function countTriangles({ triangles }: Mesh): number {
  return triangles.length / 3;
}

/** The least and the greatest of each coordinate; null where it has no corners. */
export interface SpaceBox {
  /** Least x, y and z, millimetres. */
  readonly min: readonly [number, number, number];
  /** Greatest x, y and z, millimetres. */
  readonly max: readonly [number, number, number];
}

/** A mesh's volume in cubic millimetres (the sum of signed tetrahedra about the origin, Gauss's theorem). */
export function volumeOfMesh({ positions: p, triangles: t }: Mesh): number {
  let sum = 0;
  for (let k = 0; k + 2 < t.length; k += 3) {
    const [a, b, c] = [(t[k] ?? 0) * 3, (t[k + 1] ?? 0) * 3, (t[k + 2] ?? 0) * 3];
    const [ax = 0, ay = 0, az = 0] = [p[a], p[a + 1], p[a + 2]];
    const [bx = 0, by = 0, bz = 0] = [p[b], p[b + 1], p[b + 2]];
    const [cx = 0, cy = 0, cz = 0] = [p[c], p[c + 1], p[c + 2]];
    sum += ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
  }
  return sum / 6;
}

/** The box around all corners; null where there are none. */
export function boxOfMesh({ positions }: Mesh): SpaceBox | null {
  if (positions.length === 0) return null;
  const min: [number, number, number] = [Infinity, Infinity, Infinity];
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  positions.forEach((value, index) => {
    const axis = index % 3;
    min[axis] = Math.min(min[axis] ?? Infinity, value);
    max[axis] = Math.max(max[axis] ?? -Infinity, value);
  });
  return { min, max };
}
