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
    const crossings = new Crossings();
    for (let place = 0; place < this.order.length && at(this.lowest, place) < z; place++) {
      if (at(this.highest, place) >= z) this.cross(at(this.order, place), z, crossings);
    }
    return crossings.rings();
  }

  /** Adds where a face crosses the height: in by one of its edges, out by another, its inside to the left. */
  private cross(face: number, z: number, crossings: Crossings): void {
    const { triangles } = this.mesh;
    const first = 3 * face;
    const [a, b, c] = [this.height(first) >= z, this.height(first + 1) >= z, this.height(first + 2) >= z];
    // The corner that is alone on its side.
    const alone = b === c ? 0 : a === c ? 1 : 2;
    const isAbove = alone === 0 ? a : alone === 1 ? b : c;
    const corner = at(triangles, first + alone);
    const next = at(triangles, first + ((alone + 1) % 3));
    const last = at(triangles, first + ((alone + 2) % 3));
    const from = isAbove ? next : last;
    crossings.add(this.edge(corner, from), this.edge(corner, isAbove ? last : next), this.point(corner, from, z));
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

/** Crossings by the edge they come in by. */
class Crossings {
  private readonly to: number[] = [];
  private readonly points: (readonly [number, number])[] = [];
  private readonly byEdge = new Map<number, number>();
  /** Of more than one by an edge the one before; −1 for none. */
  private readonly before: number[] = [];

  add(from: number, to: number, point: readonly [number, number]): void {
    this.before.push(this.byEdge.get(from) ?? -1);
    this.byEdge.set(from, this.to.length);
    this.to.push(to);
    this.points.push(point);
  }

  /** One after the other, each round once. */
  rings(): Rings {
    const rings: SimplePolygon[] = [];
    for (const first of this.byEdge.keys()) {
      for (let next = this.take(first); next !== null; next = this.take(first)) {
        const ring: SimplePolygon = [];
        for (let on: number | null = next; on !== null; on = this.take(at(this.to, on))) {
          const [x, y] = at(this.points, on);
          ring.push([x, y]);
        }
        rings.push(ring);
      }
    }
    return rings;
  }

  private take(edge: number): number | null {
    const found = this.byEdge.get(edge) ?? -1;
    if (found < 0) return null;
    this.byEdge.set(edge, at(this.before, found));
    return found;
  }
}
