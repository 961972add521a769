import { at } from "../geometry/at";
import { DisjointSets } from "../geometry/disjointSets";
import type { Mesh } from "./mesh";

/**
 * A closed surface's triangles without those that have no area. What is shorter than `same` (millimetres) is drawn together to
 * one corner; a triangle whose three corners lie on a line gives its longest edge to its neighbour, which is parted at the
 * third; two faces on the same three corners, back to back, go. Corners keep their numbers.
 */
export function withoutFlatFaces({ positions, triangles }: Mesh, same: number): Uint32Array {
  const flat = flatFaces(positions, triangles, same);
  if (flat.length === 0) return triangles;
  // What is too short to be an edge makes a flat face on either side of it.
  const names = drawnTogether(positions, triangles, same);
  const corners = names ? triangles.map((corner) => names.rootOf(corner)) : triangles;
  const faces = new Faces(positions, corners, same);
  if (names) faces.dropEmpty();
  if (names) faces.dropDoubled();
  faces.turn(names ? flatFaces(positions, corners, same) : flat);
  return faces.left();
}

/** The triangles that are lower than a length: most surfaces have none, and are left at once. */
function flatFaces(p: Float32Array, t: Uint32Array, same: number): number[] {
  const flat: number[] = [];
  for (let k = 0; k + 2 < t.length; k += 3) {
    const [a, b, c] = [3 * at(t, k), 3 * at(t, k + 1), 3 * at(t, k + 2)];
    const ux = at(p, b) - at(p, a);
    const uy = at(p, b + 1) - at(p, a + 1);
    const uz = at(p, b + 2) - at(p, a + 2);
    const vx = at(p, c) - at(p, a);
    const vy = at(p, c + 1) - at(p, a + 1);
    const vz = at(p, c + 2) - at(p, a + 2);
    const longest = Math.max(
      ux * ux + uy * uy + uz * uz,
      vx * vx + vy * vy + vz * vz,
      (vx - ux) ** 2 + (vy - uy) ** 2 + (vz - uz) ** 2,
    );
    const twice = (uy * vz - uz * vy) ** 2 + (uz * vx - ux * vz) ** 2 + (ux * vy - uy * vx) ** 2;
    if (twice < same * same * longest || longest === 0) flat.push(k / 3);
  }
  return flat;
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
  /** Faces by a corner, of corners that were asked for. */
  private readonly standing = new Map<number, number[]>();

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
    this.lookAround(flat.flatMap((face) => this.of(face)));
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
      this.standing.get(corner)?.push(face);
    });
  }

  private longestOf(face: number): Longest {
    return longestEdge(this.positions, this.of(face));
  }

  /** A face along an edge in that direction. */
  private faceOn(from: number, to: number): number | null {
    const found = this.facesAt(from).find((face) => {
      if (this.isGone[face]) return false;
      const corners = this.of(face);
      const k = corners.indexOf(from);
      return k >= 0 && corners[(k + 1) % 3] === to;
    });
    return found ?? null;
  }

  private facesAt(corner: number): readonly number[] {
    if (!this.standing.has(corner)) this.lookAround([corner]);
    return this.standing.get(corner) ?? [];
  }

  /** Lists the faces at some corners: few are asked for, all are looked through. */
  private lookAround(corners: readonly number[]): void {
    const asked = new Map<number, number[]>();
    for (const corner of corners) asked.set(corner, []);
    this.corners.forEach((corner, k) => asked.get(corner)?.push(Math.floor(k / 3)));
    for (const [corner, faces] of asked) this.standing.set(corner, faces);
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
