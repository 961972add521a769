import { pointAt } from "../cubic";
import { heightsWithin } from "../heightsWithin";
import type { Point } from "../point";
import { SquareLists } from "../squareLists";
import { CELLS_PER_MILLIMETRE, type Facets } from "./facets";

/** One chord of a flattened curve, in cells. */
export interface Chord {
  /** The curve's number. */
  readonly curve: number;
  /** Its number along the curve. */
  readonly chord: number;
  /** Where it begins, cells. */
  readonly start: Point;
  /** Where it ends, cells. */
  readonly end: Point;
}

/** An edge of a result lies on a chord when both its ends are this near, cells. */
export const ON_CHORD = 4;

/** Finds the chord on which an edge lies: chords are sorted into the squares they pass through or nearly touch. */
export class ChordIndex {
  private readonly squares = new SquareLists();
  private readonly side: number;
  private readonly curveOf: Int32Array;
  private readonly chordOf: Int32Array;
  /** Start and end of each chord: four numbers a chord. */
  private readonly ends: Float64Array;

  constructor({ curves }: Facets) {
    const count = curves.reduce((sum, { chords }) => sum + chords, 0);
    this.curveOf = new Int32Array(count);
    this.chordOf = new Int32Array(count);
    this.ends = new Float64Array(4 * count);
    let [number, total] = [0, 0];
    curves.forEach(({ cubic, chords }, curve) => {
      let start = pointAt(cubic, 0);
      for (let chord = 0; chord < chords; chord++) {
        const end = pointAt(cubic, (chord + 1) / chords);
        this.curveOf[number] = curve;
        this.chordOf[number] = chord;
        const coordinates = [start.x, start.y, end.x, end.y].map((value) => value * CELLS_PER_MILLIMETRE);
        this.ends.set(coordinates, 4 * number);
        total += Math.hypot(end.x - start.x, end.y - start.y) * CELLS_PER_MILLIMETRE;
        number += 1;
        start = end;
      }
    });
    // Smaller than most chords: where many lie close, few share a square.
    this.side = Math.max(16, total / Math.max(1, count) / 4);
    for (let chord = 0; chord < count; chord++) this.add(chord);
  }

  /** The chord on which both ends of an edge lie: one of the preferred curve if there is one, else the nearest. */
  chordThrough(from: Point, to: Point, preferred: number | undefined): Chord | null {
    const column = Math.floor((from.x + to.x) / 2 / this.side);
    const row = Math.floor((from.y + to.y) / 2 / this.side);
    let [best, least] = [-1, ON_CHORD * ON_CHORD];
    for (let entry = this.squares.first(column, row); entry >= 0; entry = this.squares.next(entry)) {
      const chord = this.squares.valueOf(entry);
      if (this.isOffLine(to.x, to.y, chord) || this.isOffLine(from.x, from.y, chord)) continue;
      const off = this.offSquared(from.x, from.y, chord);
      if (off > ON_CHORD * ON_CHORD) continue;
      const away = Math.max(off, this.offSquared(to.x, to.y, chord));
      if (away > ON_CHORD * ON_CHORD) continue;
      if (this.curveOf[chord] === preferred) return this.chord(chord);
      if (best >= 0 && away >= least) continue;
      best = chord;
      least = away;
    }
    return best < 0 ? null : this.chord(best);
  }

  private chord(number: number): Chord {
    const at = 4 * number;
    const [sx = 0, sy = 0, ex = 0, ey = 0] = this.ends.subarray(at, at + 4);
    const [curve, chord] = [this.curveOf[number] ?? 0, this.chordOf[number] ?? 0];
    return { curve, chord, start: { x: sx, y: sy }, end: { x: ex, y: ey } };
  }

  /** Whether a point is too far from the line a chord is on, by (d × p)² > within² · d²: most chords of a square are left out so. */
  private isOffLine(x: number, y: number, chord: number): boolean {
    const { ends } = this;
    const at = 4 * chord;
    const [sx, sy] = [ends[at] ?? 0, ends[at + 1] ?? 0];
    const [dx, dy] = [(ends[at + 2] ?? 0) - sx, (ends[at + 3] ?? 0) - sy];
    const cross = dx * (y - sy) - dy * (x - sx);
    return cross * cross > ON_CHORD * ON_CHORD * (dx * dx + dy * dy);
  }

  /** The square of a point's distance from a chord. */
  private offSquared(x: number, y: number, chord: number): number {
    const { ends } = this;
    const at = 4 * chord;
    const [sx, sy] = [ends[at] ?? 0, ends[at + 1] ?? 0];
    const [dx, dy] = [(ends[at + 2] ?? 0) - sx, (ends[at + 3] ?? 0) - sy];
    const lengthSquared = dx * dx + dy * dy;
    const along = lengthSquared === 0 ? 0 : ((x - sx) * dx + (y - sy) * dy) / lengthSquared;
    const share = along < 0 ? 0 : along > 1 ? 1 : along;
    const [px, py] = [x - sx - dx * share, y - sy - dy * share];
    return px * px + py * py;
  }

  private add(chord: number): void {
    const { side } = this;
    const [ax = 0, ay = 0, bx = 0, by = 0] = this.ends.subarray(4 * chord, 4 * chord + 4);
    const left = Math.floor((Math.min(ax, bx) - ON_CHORD) / side);
    const right = Math.floor((Math.max(ax, bx) + ON_CHORD) / side);
    for (let column = left; column <= right; column++) {
      const [low, high] = heightsWithin(ax, ay, bx, by, column * side - ON_CHORD, (column + 1) * side + ON_CHORD);
      const last = Math.floor((high + ON_CHORD) / side);
      for (let row = Math.floor((low - ON_CHORD) / side); row <= last; row++) this.squares.add(column, row, chord);
    }
  }
}

/** How far along a chord (0…1) a point lies. */
export function shareAlong(point: Point, { start, end }: Chord): number {
  const dx = end.x - start.x;
  const dy = end.y - start.y;
  const lengthSquared = dx * dx + dy * dy;
  if (lengthSquared === 0) return 0;
  return Math.min(1, Math.max(0, ((point.x - start.x) * dx + (point.y - start.y) * dy) / lengthSquared));
}
