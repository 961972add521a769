import Flatbush from "flatbush";
import { boxOfPoints, growBox, type Box } from "../geometry/box";
import { distanceToChord } from "../geometry/chordDistance";
import { distance, type Point } from "../geometry/point";
import { windingOf, type Chord } from "../geometry/winding";
import type { Unit } from "./units";

/** Threads that reach over each other by less than this only touch, millimetres. */
const TOUCHING = 0.3;
/** Ways are looked at by points so far apart, millimetres. */
const APART = 1;

/** What a unit of stitches lies on. */
export class Covered {
  /** Around all of it, millimetres. */
  readonly box: Box;
  private readonly chords: readonly Chord[];
  private readonly points: readonly Point[];
  private readonly half: number;
  private readonly isArea: boolean;
  private index: Flatbush | null = null;

  /** The ways of a unit, and the area they go round. */
  constructor({ ways, area, width }: Unit) {
    this.half = width / 2;
    this.isArea = area.length > 0;
    this.box = growBox(boxOfPoints(ways.flat()), this.half);
    this.chords = ways.flatMap((way) => way.slice(1).map((to, k): Chord => [way[k] ?? to, to]));
    this.points = ways.flatMap(thinned);
  }

  /** Whether one lies over the other by more than touching. */
  overlaps(other: Covered): boolean {
    return this.reachesInto(other) || other.reachesInto(this);
  }

  private reachesInto(other: Covered): boolean {
    const { left, top, right, bottom } = other.box;
    const reach = Math.max(TOUCHING, this.half + other.half - TOUCHING);
    return this.points.some((point) => {
      const { x, y } = point;
      if (x < left - reach || x > right + reach || y < top - reach || y > bottom + reach) return false;
      const away = other.distanceWithin(point, reach);
      if (away < this.half + other.half - TOUCHING) return true;
      return other.isArea && away > TOUCHING && other.isInside(point);
    });
  }

  /** How far a point is from the ways; infinite beyond a reach. */
  private distanceWithin(point: Point, reach: number): number {
    const { x, y } = point;
    let least = Infinity;
    for (const number of this.chordIndex().search(x - reach, y - reach, x + reach, y + reach)) {
      const chord = this.chords[number];
      if (chord) least = Math.min(least, distanceToChord(point, chord[0], chord[1]));
    }
    return least;
  }

  private isInside(point: Point): boolean {
    const crossing = this.chordIndex().search(point.x, point.y, this.box.right + 1, point.y);
    return (
      windingOf(
        crossing.flatMap((number) => (this.chords[number] ? [this.chords[number]] : [])),
        point,
      ) !== 0
    );
  }

  private chordIndex(): Flatbush {
    if (this.index) return this.index;
    const index = new Flatbush(Math.max(1, this.chords.length));
    for (const [a, b] of this.chords) {
      index.add(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y));
    }
    if (this.chords.length === 0) index.add(0, 0, 0, 0);
    index.finish();
    this.index = index;
    return index;
  }
}

/** Points of a way so far apart, the middle of long stretches among them. */
function thinned(way: readonly Point[]): Point[] {
  const kept: Point[] = [];
  for (const point of way) {
    const last = kept.at(-1);
    if (last && distance(last, point) < APART) continue;
    const pieces = last ? Math.max(1, Math.ceil(distance(last, point) / (4 * APART))) : 1;
    for (let k = 1; k <= pieces; k++) {
      kept.push(
        last ? { x: last.x + ((point.x - last.x) * k) / pieces, y: last.y + ((point.y - last.y) * k) / pieces } : point,
      );
    }
  }
  return kept;
}
