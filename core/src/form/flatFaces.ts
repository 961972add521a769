import { at } from "../geometry/at";
import { DisjointSets } from "../geometry/disjointSets";
import type { Mesh } from "./mesh";

/**
 * A closed surface's triangles without those that have no area. What is shorter than `same` (millimetres) is drawn together to
 * one corner; a triangle whose three corners lie on a line gives its longest edge to its neighbour, which is parted at the
 * third; two faces on the same three corners, back to back, go. Corners keep their numbers.
 */
export function withoutFlatFaces({ positions, triangles }: Mesh, same: number): Uint32Array {
  const names = drawnTogether(positions, triangles, same);
  const faces = new Faces(positions, names ? triangles.map((corner) => names.rootOf(corner)) : triangles, same);
  faces.dropEmpty();
  const flat = faces.flat();
  if (names === null && flat.length === 0) return triangles;
  faces.dropDoubled();
  faces.turn(flat);
  return faces.left();
}

/** Corners that are drawn together along edges that are too short; null where all stay. */
function drawnTogether(positions: Float32Array, triangles: Uint32Array, same: number): DisjointSets | null {
  let sets: DisjointSets | null = null;
  for (let k = 0; k < triangles.length; k++) {
    const [a, b] = [at(triangles, k), at(triangles, k % 3 === 2 ? k - 2 : k + 1)];
    // Every edge runs both ways in a closed surface: one is enough.
    if (a > b || distance(positions, a, b) >= same) continue;
    sets ??= new DisjointSets(positions.length / 3);
    sets.join(a, b);
  }
  return sets;
}

function distance(p: Float32Array, a: number, b: number): number {
  return Math.hypot(
    at(p, 3 * a) - at(p, 3 * b),
    at(p, 3 * a + 1) - at(p, 3 * b + 1),
    at(p, 3 * a + 2) - at(p, 3 * b + 2),
  );
}

/** A face's longest edge, which runs from `to` to `from`, and how far its other corner is from that. */
interface Longest {
  readonly from: number;
  readonly middle: number;
  readonly to: number;
  /** Millimetres. */
  readonly height: number;
}

type Corners = readonly [number, number, number];

function longestEdge(positions: Float32Array, corners: Corners): Longest {
  const lengths = corners.map((corner, k) => distance(positions, corner, at(corners, (k + 1) % 3)));
  const length = Math.max(...lengths);
  const k = lengths.indexOf(length);
  const [to, from, middle] = [at(corners, k), at(corners, (k + 1) % 3), at(corners, (k + 2) % 3)];
  return { from, middle, to, height: twiceAreaOf(positions, corners) / length };
}

const heightOf = (positions: Float32Array, corners: Corners) => longestEdge(positions, corners).height;

/** Triangles on their way: which are left, and which stand at a corner. */
class Faces {
  private readonly corners: number[];
  private readonly isGone: boolean[];
  private standing: Map<number, number[]> | null = null;

  constructor(
    private readonly positions: Float32Array,
    triangles: Uint32Array,
    private readonly same: number,
  ) {
    this.corners = Array.from(triangles);
    this.isGone = Array.from({ length: triangles.length / 3 }, () => false);
  }

  left(): Uint32Array {
    return Uint32Array.from(this.corners.filter((_, k) => !this.isGone[Math.floor(k / 3)]));
  }

  /** Those that have become an edge or a point. */
  dropEmpty(): void {
    this.isGone.forEach((_, face) => {
      const [a, b, c] = this.of(face);
      if (a === b || b === c || c === a) this.isGone[face] = true;
    });
  }

  /** Those whose three corners lie on a line. */
  flat(): number[] {
    return this.isGone.flatMap((isGone, face) => (!isGone && this.longestOf(face).height < this.same ? [face] : []));
  }

  /** Two on the same three corners, back to back: nothing is between them. */
  dropDoubled(): void {
    const open = new Map<string, number[]>();
    this.isGone.forEach((isGone, face) => {
      if (isGone) return;
      const [a, b, c] = fromLeast(this.of(face));
      const facing = open.get(`${a} ${c} ${b}`);
      const other = facing?.pop();
      if (other === undefined) open.set(`${a} ${b} ${c}`, [...(open.get(`${a} ${b} ${c}`) ?? []), face]);
      else this.isGone[face] = this.isGone[other] = true;
    });
  }

  /** Gives the longest edge of each flat one to the face beyond it, where both are less flat then; again while that helps. */
  turn(flat: readonly number[]): void {
    let waiting = flat;
    for (let helped = true; helped;) {
      const turned = waiting.flatMap((face) => this.turned(face));
      helped = turned.length > 0;
      waiting = [...new Set([...waiting, ...turned])];
    }
  }

  /** The faces that were changed by turning one: it and the one beyond it, or none. */
  private turned(face: number): number[] {
    if (this.isGone[face]) return [];
    const { height, from, middle, to } = this.longestOf(face);
    if (height >= this.same) return [];
    const beyond = this.faceOn(from, to);
    if (beyond === null) return [];
    const apex = this.of(beyond).find((corner) => corner !== from && corner !== to) ?? middle;
    if (apex === middle) {
      this.isGone[face] = this.isGone[beyond] = true;
      return [face];
    }
    const [one, two] = [
      [from, middle, apex],
      [middle, to, apex],
    ] as const;
    const before = Math.min(height, this.longestOf(beyond).height);
    if (Math.min(heightOf(this.positions, one), heightOf(this.positions, two)) <= before) return [];
    this.set(face, one);
    this.set(beyond, two);
    return [face, beyond];
  }

  private of(face: number): Corners {
    return [at(this.corners, 3 * face), at(this.corners, 3 * face + 1), at(this.corners, 3 * face + 2)];
  }

  private set(face: number, corners: Corners): void {
    corners.forEach((corner, k) => {
      this.corners[3 * face + k] = corner;
      this.byCorner().get(corner)?.push(face);
    });
  }

  private longestOf(face: number): Longest {
    return longestEdge(this.positions, this.of(face));
  }

  /** A face along an edge in that direction. */
  private faceOn(from: number, to: number): number | null {
    const there = this.byCorner().get(from) ?? [];
    const found = there.find((face) => {
      if (this.isGone[face]) return false;
      const corners = this.of(face);
      const k = corners.indexOf(from);
      return k >= 0 && corners[(k + 1) % 3] === to;
    });
    return found ?? null;
  }

  private byCorner(): Map<number, number[]> {
    if (this.standing) return this.standing;
    const standing = new Map<number, number[]>();
    this.corners.forEach((corner, k) => {
      const known = standing.get(corner);
      if (known) known.push(Math.floor(k / 3));
      else standing.set(corner, [Math.floor(k / 3)]);
    });
    this.standing = standing;
    return standing;
  }
}

function fromLeast([a, b, c]: Corners): Corners {
  if (a < b && a < c) return [a, b, c];
  return b < c ? [b, c, a] : [c, a, b];
}

function twiceAreaOf(p: Float32Array, [a, b, c]: Corners): number {
  const side = (to: number, axis: number) => at(p, 3 * to + axis) - at(p, 3 * a + axis);
  const [ux, uy, uz] = [side(b, 0), side(b, 1), side(b, 2)];
  const [vx, vy, vz] = [side(c, 0), side(c, 1), side(c, 2)];
  return Math.hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx);
}
