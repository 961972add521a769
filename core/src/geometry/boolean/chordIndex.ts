import { pointAt } from "../cubic";
import type { Point } from "../point";
import { CELLS_PER_MILLIMETRE, type Facets } from "./facets";
import { addTo } from "../keyedLists";

/** One chord of a flattened curve, in cells. */
export interface Chord {
  readonly curve: number;
  readonly chord: number;
  readonly start: Point;
  readonly end: Point;
}

/** Finds the chords on which points lie: chords sorted into squares they pass through. */
export class ChordIndex {
  private readonly squares = new Map<string, Chord[]>();
  private readonly side: number;

  constructor({ curves }: Facets) {
    const chords = curves.flatMap(({ cubic, chords: count }, curve) =>
      Array.from({ length: count }, (_, chord): Chord => ({
        curve,
        chord,
        start: inCells(pointAt(cubic, chord / count)),
        end: inCells(pointAt(cubic, (chord + 1) / count)),
      })),
    );
    const total = chords.reduce((sum, { start, end }) => sum + Math.hypot(end.x - start.x, end.y - start.y), 0);
    this.side = Math.max(16, (2 * total) / Math.max(1, chords.length));
    for (const chord of chords) this.add(chord);
  }

  /** Chords on which both points lie, within so many cells; the nearest first. */
  chordsThrough(from: Point, to: Point, within: number): Chord[] {
    const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    const offOf = (chord: Chord) => Math.max(distanceTo(from, chord), distanceTo(to, chord));
    return this.near(middle)
      .map((chord) => ({ chord, off: offOf(chord) }))
      .filter(({ off }) => off <= within)
      .sort((a, b) => a.off - b.off)
      .map(({ chord }) => chord);
  }

  private near(point: Point): Chord[] {
    const found = new Set<Chord>();
    const column = Math.floor(point.x / this.side);
    const row = Math.floor(point.y / this.side);
    for (let dx = -1; dx <= 1; dx++) {
      for (let dy = -1; dy <= 1; dy++) {
        for (const chord of this.squares.get(`${column + dx} ${row + dy}`) ?? []) found.add(chord);
      }
    }
    return [...found];
  }

  private add(chord: Chord): void {
    const { start, end } = chord;
    const steps = Math.max(1, Math.ceil(Math.hypot(end.x - start.x, end.y - start.y) / this.side));
    let last = "";
    for (let step = 0; step <= steps; step++) {
      const x = start.x + ((end.x - start.x) * step) / steps;
      const y = start.y + ((end.y - start.y) * step) / steps;
      const key = `${Math.floor(x / this.side)} ${Math.floor(y / this.side)}`;
      if (key === last) continue;
      last = key;
      addTo(this.squares, key, chord);
    }
  }
}

function inCells({ x, y }: Point): Point {
  return { x: x * CELLS_PER_MILLIMETRE, y: y * CELLS_PER_MILLIMETRE };
}

/** How far along a chord (0…1) a point lies. */
export function shareAlong(point: Point, { start, end }: Chord): number {
  const dx = end.x - start.x;
  const dy = end.y - start.y;
  const lengthSquared = dx * dx + dy * dy;
  if (lengthSquared === 0) return 0;
  return Math.min(1, Math.max(0, ((point.x - start.x) * dx + (point.y - start.y) * dy) / lengthSquared));
}

function distanceTo(point: Point, chord: Chord): number {
  const share = shareAlong(point, chord);
  const { start, end } = chord;
  return Math.hypot(point.x - start.x - (end.x - start.x) * share, point.y - start.y - (end.y - start.y) * share);
}
