import type { Manifold, SimplePolygon } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import { areaOf, type Rings } from "./area";
import { spendOnCorners } from "./cornerEffort";

/** An area's outlines at a height, millimetres. */
export interface Level {
  /** Millimetres above the form's foot. */
  readonly z: number;
  /** What the solid has for an outline there. */
  readonly rings: Rings;
}

/** How the way from one level to the next is closed: the same outlines, upright; or one within the other. */
type Storey = "wall" | "strip";

/** Maps a corner of a level into place. */
export type Warp = (x: number, y: number, z: number) => readonly [number, number, number];

/**
 * A solid through levels from its foot up. Two levels that share their rings have a wall between them, quads cut by
 * diagonals that take turns; of two others one lies within the other, and the strip between them is triangulated with
 * its outer loop at one height and its inner one at the other, which holds where outlines split or end.
 */
export function solidThrough(levels: readonly Level[], warp: Warp): Manifold {
  const { Manifold, Mesh } = solidEngine();
  const corners: number[] = [];
  const triangles: number[] = [];
  const numbered = levels.map(({ rings, z }) =>
    rings.map((ring) =>
      ring.map(([x, y]) => {
        corners.push(...warp(x, y, z));
        return corners.length / 3 - 1;
      }),
    ),
  );
  const add = (tris: readonly (readonly [number, number, number])[], names: readonly number[], up: boolean) => {
    for (const [a, b, c] of tris) {
      const [p = 0, q = 0, r = 0] = [names[a], names[b], names[c]];
      triangles.push(p, ...(up ? [q, r] : [r, q]));
    }
  };
  const cap = (index: number, up: boolean) => {
    const { rings } = levels[index] ?? { rings: [] };
    if (rings.length > 0) add(triangulated(rings), (numbered[index] ?? []).flat(), up);
  };
  cap(0, false);
  levels.slice(1).forEach((upper, k) => {
    const lower = levels[k];
    if (!lower) return;
    const [below = [], above = []] = [numbered[k], numbered[k + 1]];
    if (storeyBetween(lower, upper) === "wall") {
      below.forEach((ring, number) => wall(ring, above[number] ?? [], k, triangles));
      return;
    }
    const widens = areaOf(upper.rings) > areaOf(lower.rings);
    const [outer, inner] = widens ? [upper, lower] : [lower, upper];
    const [outerNames, innerNames] = widens ? [above, below] : [below, above];
    const loops = [...outer.rings, ...inner.rings.map((ring) => [...ring].reverse())];
    const names = [...outerNames.flat(), ...innerNames.flatMap((ring) => [...ring].reverse())];
    if (loops.length > 0) add(triangulated(loops), names, !widens);
  });
  cap(levels.length - 1, true);
  return new Manifold(
    new Mesh({ numProp: 3, vertProperties: Float32Array.from(corners), triVerts: Uint32Array.from(triangles) }),
  );
}

function triangulated(rings: Rings) {
  return solidEngine().triangulate([...rings]);
}

function storeyBetween(lower: Level, upper: Level): Storey {
  return lower.rings === upper.rings ? "wall" : "strip";
}

/** Quads between two loops that run alike, each cut the other way than its neighbours. */
function wall(below: readonly number[], above: readonly number[], storey: number, triangles: number[]): void {
  const n = below.length;
  for (let k = 0; k < n; k++) {
    const [a = 0, b = 0] = [below[k], below[(k + 1) % n]];
    const [d = 0, c = 0] = [above[k], above[(k + 1) % n]];
    if ((k + storey) % 2 === 0) triangles.push(a, b, c, a, c, d);
    else triangles.push(a, b, d, b, c, d);
  }
}

/** Rings whose edges are no longer than a length. Millimetres. Throws a TooMuchEffort. */
export function subdivided(rings: Rings, longest: number): Rings {
  const counted = rings.map((ring) => ring.map((_, index) => Math.max(1, Math.ceil(lengthOf(ring, index) / longest))));
  spendOnCorners(counted.flat().reduce((sum, pieces) => sum + pieces, 0));
  return rings.map((ring, number) =>
    ring.flatMap(([x, y], index): SimplePolygon => {
      const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
      const pieces = counted[number]?.[index] ?? 1;
      return Array.from({ length: pieces }, (_, k) => {
        const share = k / pieces;
        return [x + (nextX - x) * share, y + (nextY - y) * share];
      });
    }),
  );
}

/** How long one edge of a ring is. */
function lengthOf(ring: SimplePolygon, index: number): number {
  const [x, y] = ring[index] ?? [0, 0];
  const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
  return Math.hypot(nextX - x, nextY - y);
}
