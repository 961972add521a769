import { at } from "../../geometry/at";
import { boxOfPoints } from "../../geometry/box";
import { flattenPath } from "../../geometry/flatten";
import { distance, type Point } from "../../geometry/point";
import { SquareLists } from "../../geometry/squareLists";
import type { Strand } from "./strands";

/** A place where two strands, or two stretches of one, cross. */
export interface Crossing {
  /** The numbers of the two strands, and how far along each the place is, millimetres. */
  readonly strands: readonly [number, number];
  /** How far along each strand, millimetres. */
  readonly along: readonly [number, number];
  /** Where on the sheet, millimetres. */
  readonly point: Point;
  /** The angle between the strands there, radians, 0…π/2. */
  readonly angle: number;
}

/** A chord of a strand, and how far along the strand it begins and ends. */
interface Chord {
  readonly strand: number;
  readonly index: number;
  readonly from: Point;
  readonly to: Point;
  readonly start: number;
  readonly end: number;
}

const FINE = 0.01;
/** Crossings of the same strands nearer than this are one, millimetres. */
const ONE_PLACE = 0.05;
/** Strands that meet at less than this angle run along each other rather than cross, radians. */
const LEAST_ANGLE = 0.04;

/** Every place where strands cross, in the order of the first strand and the way along it. */
export function crossingsOf(strands: readonly Strand[]): Crossing[] {
  const chords = strands.flatMap(chordsOf);
  const found: Crossing[] = [];
  for (const [a, b] of nearPairs(chords)) {
    const crossing = areNeighbours(a, b, strands) ? null : crossingOf(a, b);
    if (crossing) found.push(crossing);
  }
  found.sort((a, b) => a.strands[0] - b.strands[0] || a.strands[1] - b.strands[1] || a.along[0] - b.along[0]);
  return found.filter((crossing, index) => {
    const before = found[index - 1];
    const same = before?.strands[0] === crossing.strands[0] && before.strands[1] === crossing.strands[1];
    return !same || distance(before.point, crossing.point) > ONE_PLACE;
  });
}

function chordsOf({ run, length }: Strand, strand: number): Chord[] {
  const [points = []] = flattenPath([run], FINE);
  const lengths = points.slice(1).map((point, index) => distance(points[index] ?? point, point));
  const scale =
    length /
    Math.max(
      1e-9,
      lengths.reduce((sum, own) => sum + own, 0),
    );
  let start = 0;
  return points.slice(1).flatMap((to, index) => {
    const from = points[index] ?? to;
    const end = start + at(lengths, index) * scale;
    const chord = { strand, index, from, to, start, end };
    start = end;
    return end > chord.start ? [chord] : [];
  });
}

/** Chords that follow one another meet without crossing. */
function areNeighbours(a: Chord, b: Chord, strands: readonly Strand[]): boolean {
  if (a.strand !== b.strand) return false;
  const strand = at(strands, a.strand);
  if (Math.abs(a.end - b.start) < 1e-9 || Math.abs(b.end - a.start) < 1e-9) return true;
  const { length } = strand;
  const ends = Math.abs(length - Math.max(a.end, b.end)) < 1e-6 && Math.min(a.start, b.start) < 1e-9;
  return strand.run.closed && ends;
}

function crossingOf(a: Chord, b: Chord): Crossing | null {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y];
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y];
  const [cx, cy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const determinant = ax * by - ay * bx;
  const sine = Math.abs(determinant) / (Math.hypot(ax, ay) * Math.hypot(bx, by));
  if (!(sine > LEAST_ANGLE)) return null;
  const t = (cx * by - cy * bx) / determinant;
  const u = (cx * ay - cy * ax) / determinant;
  // A crossing at a node of either belongs to the chord it begins.
  if (t < -1e-9 || t >= 1 - 1e-9 || u < -1e-9 || u >= 1 - 1e-9) return null;
  return {
    strands: [a.strand, b.strand],
    along: [a.start + (a.end - a.start) * t, b.start + (b.end - b.start) * u],
    point: { x: a.from.x + ax * t, y: a.from.y + ay * t },
    angle: Math.asin(Math.min(1, sine)),
  };
}

/** Pairs of chords that pass through one square, each pair once, the earlier chord first. */
function* nearPairs(chords: readonly Chord[]): Generator<readonly [Chord, Chord]> {
  const total = chords.reduce((sum, { from, to }) => sum + distance(from, to), 0);
  const side = Math.max(0.1, (2 * total) / Math.max(1, chords.length));
  const squares = new SquareLists();
  const comparedWith = new Int32Array(chords.length).fill(-1);
  for (const [later, chord] of chords.entries()) {
    const { left, top, right, bottom } = boxOfPoints([chord.from, chord.to]);
    for (let column = Math.floor(left / side); column <= Math.floor(right / side); column++) {
      for (let row = Math.floor(top / side); row <= Math.floor(bottom / side); row++) {
        for (let entry = squares.first(column, row); entry >= 0; entry = squares.next(entry)) {
          const earlier = squares.valueOf(entry);
          if (comparedWith[earlier] === later) continue;
          comparedWith[earlier] = later;
          yield [at(chords, earlier), chord];
        }
        squares.add(column, row, later);
      }
    }
  }
}
