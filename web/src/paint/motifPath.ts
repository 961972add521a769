import type { Path } from "@twin-petal/core";

const remembered = new WeakMap<Path, Path2D>();

/** A motif's outline for the canvas; built once for each outline. */
export function motifPath(path: Path): Path2D {
  const known = remembered.get(path);
  if (known) return known;
  const built = new Path2D();
  for (const { closed, coordinates } of path) {
    built.moveTo(coordinates[0] ?? 0, coordinates[1] ?? 0);
    for (let k = 2; k + 5 < coordinates.length; k += 6) {
      const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = coordinates.slice(k, k + 6);
      built.bezierCurveTo(a, b, c, d, e, f);
    }
    if (closed) built.closePath();
  }
  remembered.set(path, built);
  return built;
}

/** The greatest distance of an outline's points from its origin, millimetres: no copy reaches further. */
export function reachOf(path: Path): number {
  let reach = 0;
  for (const { coordinates } of path) {
    for (let k = 0; k + 1 < coordinates.length; k += 2) {
      reach = Math.max(reach, Math.hypot(coordinates[k] ?? 0, coordinates[k + 1] ?? 0));
    }
  }
  return reach;
}
