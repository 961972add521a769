import { at } from "../../geometry/at";
import { boxOfPoints, growBox } from "../../geometry/box";
import { distanceToChord } from "../../geometry/chordDistance";
import { flattenPath } from "../../geometry/flatten";
import { between, distance, type Point } from "../../geometry/point";
import { once } from "../../geometry/once";
import { SquareLists } from "../../geometry/squareLists";
import type { LineShape } from "../../geometry/strip/lineShape";
import { angleBetween } from "../../geometry/strip/smoothRuns";
import { MITER_LIMIT } from "../../geometry/strip/strip";
import type { Strand } from "./strands";

/** A short piece of a strand's middle line. Millimetres. */
export interface Chord {
  /** The strand's number. */
  readonly strand: number;
  /** Its number along the strand, counted in bits. */
  readonly index: number;
  /** Where it begins. */
  readonly from: Point;
  /** Where it ends. */
  readonly to: Point;
  /** How far along the strand it begins. */
  readonly start: number;
  /** How far along the strand it ends. */
  readonly end: number;
  /** How far the band reaches from it, tips of corners and caps included. */
  readonly reach: number;
  /** How many bits it can be cut into, none longer than the band is wide. */
  readonly bits: number;
}

const FINE = 0.01;
/** A strand is cut into no more chords than about this, and into no more bits. */
const MOST_CHORDS = 100;
const MOST_BITS = 10_000;
/** Chords are about so many widths long. */
const WIDTHS = 4;

/** The chords of a strand. */
export function chordsOf(strand: Strand, number: number, ends: Pick<LineShape, "cap" | "join">): Chord[] {
  const { run, length } = strand;
  const [points = []] = flattenPath([run], FINE);
  const straight = points.slice(1).map((point, index) => distance(points[index] ?? point, point));
  const total = straight.reduce((sum, own) => sum + own, 0);
  const scale = length / Math.max(1e-9, total);
  const chords: Chord[] = [];
  let [start, index] = [0, 0];
  points.slice(1).forEach((to, at) => {
    const from = points[at] ?? to;
    const own = (straight[at] ?? 0) * scale;
    const width = Math.max(strand.widthAt(start), strand.widthAt(start + own));
    const count = own > 0 ? Math.ceil(own / Math.max(WIDTHS * width, length / MOST_CHORDS)) : 0;
    const bits = Math.ceil(own / Math.max(1, count) / Math.max(width, length / MOST_BITS));
    for (let k = 0; k < count; k++) {
      chords.push({ ...partOf(from, to, start, own, k, count), strand: number, index, reach: width / 2, bits });
      index += bits;
    }
    start += own;
  });
  return chords.map((chord, at) => ({ ...chord, reach: chord.reach * furthest(chords, at, run.closed, ends) }));
}

/** The bits of a chord. */
export function bitsOf(chord: Chord): Chord[] {
  const { from, to, start, end, bits, index } = chord;
  if (bits === 1) return [chord];
  return Array.from({ length: bits }, (_, k) => ({
    ...chord,
    ...partOf(from, to, start, end - start, k, bits),
    index: index + k,
    bits: 1,
  }));
}

/** How many bits a strand's chords have in all. */
export function countBits(chords: readonly Chord[]): number {
  return chords.reduce((sum, { bits }) => sum + bits, 0);
}

function partOf(from: Point, to: Point, start: number, own: number, k: number, count: number) {
  return {
    from: between(from, to, k / count),
    to: between(from, to, (k + 1) / count),
    start: start + (own * k) / count,
    end: start + (own * (k + 1)) / count,
  };
}

/** How many halves of the width the band reaches from a chord. */
function furthest(
  chords: readonly Chord[],
  index: number,
  isClosed: boolean,
  { cap, join }: Pick<LineShape, "cap" | "join">,
): number {
  const chord = at(chords, index);
  const isEnd = !isClosed && (index === 0 || index === chords.length - 1);
  const atEnd = isEnd && cap === "square" ? Math.SQRT2 : 1;
  if (join !== "miter") return atEnd;
  const tips = [index - 1, index + 1].map((other) => {
    const beside = isClosed ? chords.at(other % chords.length) : chords[other];
    if (!beside) return 1;
    const tip = 1 / Math.cos(angleBetween(wayOf(chord), wayOf(beside)) / 2);
    return tip > 0 && tip <= MITER_LIMIT ? tip : 1;
  });
  return Math.max(atEnd, ...tips);
}

const wayOf = ({ from, to }: Chord): Point => ({ x: to.x - from.x, y: to.y - from.y });

/** Whether bits follow one another along a strand of so many: they meet without crossing. */
export function areNeighbours(a: Chord, b: Chord, count: number, isClosed: boolean): boolean {
  if (a.strand !== b.strand) return false;
  const apart = Math.abs(a.index - b.index);
  return apart <= 1 || (isClosed && apart === count - 1);
}

/** A place where two chords cross. */
export interface ChordCrossing {
  /** How far along each strand, millimetres. */
  readonly along: readonly [number, number];
  /** Where on the sheet. */
  readonly point: Point;
}

/** Where two chords cross; null where they do not, or lie along each other. */
export function crossingOf(a: Chord, b: Chord): ChordCrossing | null {
  const [ax, ay] = [a.to.x - a.from.x, a.to.y - a.from.y];
  const [bx, by] = [b.to.x - b.from.x, b.to.y - b.from.y];
  const [cx, cy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const determinant = ax * by - ay * bx;
  if (Math.abs(determinant) < 1e-9 * Math.hypot(ax, ay) * Math.hypot(bx, by)) return null;
  const t = (cx * by - cy * bx) / determinant;
  const u = (cx * ay - cy * ax) / determinant;
  // A crossing at a node of either belongs to the chord it begins.
  if (!(t >= -1e-9 && t < 1 - 1e-9 && u >= -1e-9 && u < 1 - 1e-9)) return null;
  return {
    along: [a.start + (a.end - a.start) * t, b.start + (b.end - b.start) * u],
    point: { x: a.from.x + ax * t, y: a.from.y + ay * t },
  };
}

/** Pairs of bits whose bands come within a gap (millimetres) of each other, each pair once, that of the earlier chord first. */
export function* nearPairs(chords: readonly Chord[], gap: number): Generator<readonly [Chord, Chord]> {
  const bits = chords.map((chord) => once(() => bitsOf(chord)));
  for (const [earlier, later] of nearChords(chords, gap)) {
    const [a, b] = [at(chords, earlier), at(chords, later)];
    const ofB = at(bits, later)().filter((bit) => areNear(bit, a, gap));
    for (const one of ofB.length > 0 ? at(bits, earlier)() : []) {
      if (!areNear(one, b, gap)) continue;
      for (const other of ofB) if (areNear(one, other, gap)) yield [one, other];
    }
  }
}

/** The numbers of chords whose bands come within a gap of each other, each pair once. */
function* nearChords(chords: readonly Chord[], gap: number): Generator<readonly [number, number]> {
  const total = chords.reduce((sum, { from, to, reach }) => sum + distance(from, to) + 2 * reach + gap, 0);
  const side = Math.max(0.1, (2 * total) / Math.max(1, chords.length));
  const squares = new SquareLists();
  const comparedWith = new Int32Array(chords.length).fill(-1);
  for (const [later, chord] of chords.entries()) {
    const { left, top, right, bottom } = growBox(boxOfPoints([chord.from, chord.to]), chord.reach + gap / 2);
    for (let column = Math.floor(left / side); column <= Math.floor(right / side); column++) {
      for (let row = Math.floor(top / side); row <= Math.floor(bottom / side); row++) {
        for (let entry = squares.first(column, row); entry >= 0; entry = squares.next(entry)) {
          const earlier = squares.valueOf(entry);
          if (comparedWith[earlier] === later) continue;
          comparedWith[earlier] = later;
          if (areNear(at(chords, earlier), chord, gap)) yield [earlier, later];
        }
        squares.add(column, row, later);
      }
    }
  }
}

function areNear(a: Chord, b: Chord, gap: number): boolean {
  const reach = a.reach + b.reach + gap;
  const isBeside = (p: number, q: number, r: number, s: number) =>
    Math.max(p, q) + reach < Math.min(r, s) || Math.max(r, s) + reach < Math.min(p, q);
  if (isBeside(a.from.x, a.to.x, b.from.x, b.to.x) || isBeside(a.from.y, a.to.y, b.from.y, b.to.y)) return false;
  return apart(a, b) <= reach;
}

function apart(a: Chord, b: Chord): number {
  if (crossingOf(a, b)) return 0;
  return Math.min(
    distanceToChord(a.from, b.from, b.to),
    distanceToChord(a.to, b.from, b.to),
    distanceToChord(b.from, a.from, a.to),
    distanceToChord(b.to, a.from, a.to),
  );
}
