import { boxOfMesh, volumeOfMesh, type Mesh } from "../form/mesh";
import { facesOf } from "../form/faces";

/** Faces whose height differs by less lie on one level, millimetres. */
const LEVEL = 1e-3;
/** A level that holds less than this share of the middle section is none: layers that run past it lose next to nothing. */
const LEAST_SHARE = 1e-3;

/**
 * Heights at which solids have level faces, from the bed up, its top the last. Millimetres. Of two that are nearer to each
 * other than `apart` the larger one counts.
 */
export function levelsOf(meshes: readonly Mesh[], apart: number): number[] {
  const top = meshes.reduce((highest, mesh) => Math.max(highest, boxOfMesh(mesh)?.max[2] ?? 0), 0);
  if (top <= 0) return [];
  const least = (LEAST_SHARE * meshes.reduce((sum, mesh) => sum + volumeOfMesh(mesh), 0)) / top;
  const levels: { z: number; area: number }[] = [];
  for (const level of areaByLevel(meshes)) {
    if (level.area < least || level.z < apart || level.z > top - apart) continue;
    const before = levels.at(-1);
    if (!before || level.z - before.z >= apart) levels.push(level);
    else if (level.area > before.area) levels[levels.length - 1] = level;
  }
  return [...levels.map(({ z }) => z), top];
}

function areaByLevel(meshes: readonly Mesh[]): { z: number; area: number }[] {
  const levels = new Map<number, { z: number; area: number }>();
  for (const mesh of meshes) {
    for (const { middle, normal, area } of facesOf(mesh)) {
      if (Math.abs(normal.z) < 1 - 1e-6) continue;
      const key = Math.round(middle.z / LEVEL);
      levels.set(key, { z: middle.z, area: area + (levels.get(key)?.area ?? 0) });
    }
  }
  return [...levels.values()].sort((a, b) => a.z - b.z);
}
