import { flattenPath } from "../../geometry/flatten";
import { addTo } from "../../geometry/keyedLists";
import { distance, type Point } from "../../geometry/point";
import { squareKey } from "../../geometry/squareKey";
import type { Strand } from "./strands";

/** A place where two strands, or two stretches of one, cross. */
export interface Crossing {
  /** The numbers of the two strands, and how far along each the place is, millimetres. */
  readonly strands: readonly [number, number];
  readonly along: readonly [number, number];
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
  const seen = new Set<number>();
  for (const bucket of bucketsOf(chords)) {
    for (let i = 0; i < bucket.length; i++) {
      for (let j = i + 1; j < bucket.length; j++) {
        const [p, q] = [Math.min(bucket[i] ?? 0, bucket[j] ?? 0), Math.max(bucket[i] ?? 0, bucket[j] ?? 0)];
        const key = p * chords.length + q;
        const [a, b] = [chords[p], chords[q]];
        if (!a || !b || seen.has(key) || areNeighbours(a, b, strands)) continue;
        seen.add(key);
        const crossing = crossingOf(a, b);
        if (crossing) found.push(crossing);
      }
    }
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
    const end = start + (lengths[index] ?? 0) * scale;
    const chord = { strand, index, from, to, start, end };
    start = end;
    return end > chord.start ? [chord] : [];
  });
}

/** Chords that follow one another meet without crossing. */
function areNeighbours(a: Chord, b: Chord, strands: readonly Strand[]): boolean {
  if (a.strand !== b.strand) return false;
  const strand = strands[a.strand];
  if (Math.abs(a.end - b.start) < 1e-9 || Math.abs(b.end - a.start) < 1e-9) return true;
  const length = strand?.length ?? 0;
  const ends = Math.abs(length - Math.max(a.end, b.end)) < 1e-6 && Math.min(a.start, b.start) < 1e-9;
  return strand?.run.closed === true && ends;
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

/** Chords by the squares they may pass through. */
function bucketsOf(chords: readonly Chord[]): number[][] {
  const total = chords.reduce((sum, { from, to }) => sum + distance(from, to), 0);
  const side = Math.max(0.1, (2 * total) / Math.max(1, chords.length));
  const buckets = new Map<number, number[]>();
  chords.forEach(({ from, to }, chord) => {
    const columns = [from.x, to.x].map((x) => Math.floor(x / side)).sort((a, b) => a - b);
    const rows = [from.y, to.y].map((y) => Math.floor(y / side)).sort((a, b) => a - b);
    for (let column = columns[0] ?? 0; column <= (columns[1] ?? 0); column++) {
      for (let row = rows[0] ?? 0; row <= (rows[1] ?? 0); row++) addTo(buckets, squareKey(column, row), chord);
    }
  });
  return [...buckets.values()];
}
