import type { SimplePolygon } from "manifold-3d";
import { at } from "../geometry/at";
import type { Rings } from "../form/area";
import type { Mesh } from "../form/mesh";

/**
 * Cuts a closed surface level, as often as is asked. Outlines run as the surface does, outer ones anticlockwise seen from above:
 * where two pieces touch or lie in each other both have theirs. What is exactly at the height counts as above it.
 */
export class Sections {
  /** Faces by their lowest corner, which and its height. */
  private readonly order: Uint32Array;
  private readonly lowest: Float32Array;
  private readonly highest: Float32Array;

  constructor(private readonly mesh: Mesh) {
    const count = mesh.triangles.length / 3;
    const [low, high] = [new Float32Array(count), new Float32Array(count)];
    for (let face = 0; face < count; face++) {
      const [a, b, c] = [this.height(3 * face), this.height(3 * face + 1), this.height(3 * face + 2)];
      low[face] = Math.min(a, b, c);
      high[face] = Math.max(a, b, c);
    }
    this.order = Uint32Array.from({ length: count }, (_, face) => face).sort((a, b) => at(low, a) - at(low, b));
    this.lowest = Float32Array.from(this.order, (face) => at(low, face));
    this.highest = Float32Array.from(this.order, (face) => at(high, face));
  }

  /** The outlines at a height, millimetres. */
  at(z: number): Rings {
    const crossings = new Map<number, Crossing[]>();
    for (let place = 0; place < this.order.length && at(this.lowest, place) < z; place++) {
      if (at(this.highest, place) < z) continue;
      const crossing = this.crossing(at(this.order, place), z);
      const known = crossings.get(crossing.from);
      if (known) known.push(crossing);
      else crossings.set(crossing.from, [crossing]);
    }
    return chained(crossings);
  }

  /** Where a face crosses the height: in by one of its edges, out by another, its inside to the left. */
  private crossing(face: number, z: number): Crossing {
    const isAbove = [0, 1, 2].map((k) => this.height(3 * face + k) >= z);
    // The corner that is alone on its side.
    const alone = isAbove.findIndex((above, k) => isAbove.every((other, n) => n === k || other !== above));
    const [corner, next, last] = [0, 1, 2].map((k) => at(this.mesh.triangles, 3 * face + ((alone + k) % 3)));
    if (corner === undefined || next === undefined || last === undefined) throw new Error("a face has three corners");
    const [one, two] = isAbove[alone] ? [next, last] : [last, next];
    return { from: this.edge(corner, one), to: this.edge(corner, two), point: this.point(corner, one, z) };
  }

  private height(k: number): number {
    return at(this.mesh.positions, 3 * at(this.mesh.triangles, k) + 2);
  }

  private edge(a: number, b: number): number {
    return (Math.min(a, b) * this.mesh.positions.length) / 3 + Math.max(a, b);
  }

  /** Where an edge is at the height; the same from either of its faces. */
  private point(a: number, b: number, z: number): readonly [number, number] {
    const { positions } = this.mesh;
    const [from, to] = [3 * Math.min(a, b), 3 * Math.max(a, b)];
    const [low, high] = [at(positions, from + 2), at(positions, to + 2)];
    const share = (z - low) / (high - low);
    const along = (axis: number) => at(positions, from + axis) * (1 - share) + at(positions, to + axis) * share;
    return [along(0), along(1)];
  }
}

interface Crossing {
  readonly from: number;
  readonly to: number;
  readonly point: readonly [number, number];
}

/** Crossings one after the other, each round once. */
function chained(crossings: Map<number, Crossing[]>): Rings {
  const rings: SimplePolygon[] = [];
  for (const waiting of crossings.values()) {
    while (waiting.length > 0) {
      const ring: SimplePolygon = [];
      let next = waiting.pop();
      while (next) {
        ring.push([next.point[0], next.point[1]]);
        next = crossings.get(next.to)?.pop();
      }
      rings.push(ring);
    }
  }
  return rings;
}
