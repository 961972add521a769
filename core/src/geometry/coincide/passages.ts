import Flatbush from "flatbush";
import { nearestParameter } from "../boolean/meet";
import { distanceToChord } from "../chordDistance";
import { isStraight, pointAt, type Cubic } from "../cubic";
import { addTo } from "../keyedLists";
import { distance, type Point } from "../point";
import type { Cut, Piece } from "./cutPieces";

/** Two cuts of one curve nearer than this in its parameter are one. */
const SAME_CUT = 1e-4;
/** Chords a curve is sought by. */
const CHORDS = 4;

/** A curve that passes a place this near meets what ends there, wherever that goes, at the standard size. Millimetres. */
const TOUCHES = 0.0002;
/** Shares of a curve from its end at which it must still lie on another to be said to run along it. */
const ALONG = [0.01, 0.02];

/**
 * For each curve where it passes, between its own ends, a place where others end: so near that it touches them, or within
 * a distance and along one of them. Millimetres.
 */
export function passagesOf(curves: readonly Piece[], places: readonly Point[], within: number): Map<number, Cut[]> {
  if (curves.length === 0) return new Map();
  const chords = chordsOf(curves);
  const ending = endingAt(curves);
  const cuts = new Map<number, Cut[]>();
  places.forEach((point, place) => {
    for (const chord of chords.near(point, within)) {
      const number = chords.curveOf[chord] ?? 0;
      const curve = curves[number];
      if (!curve || curve.from === place || curve.to === place) continue;
      const t = passing(curve.cubic, point, chords.middleOf[chord] ?? 0, within);
      if (t === null) continue;
      const isMet =
        distance(pointOn(curve.cubic, t), point) <= TOUCHES ||
        ending.get(place)?.some((other) => runsAlong(other, place, curve.cubic, t, within));
      if (!isMet) continue;
      const own = cuts.get(number);
      if (!own) cuts.set(number, [{ t, place }]);
      else if (!own.some((cut) => cut.place === place && Math.abs(cut.t - t) < SAME_CUT)) own.push({ t, place });
    }
  });
  return cuts;
}

/** The curves that begin or end at each place. */
function endingAt(curves: readonly Piece[]): Map<number, Piece[]> {
  const ending = new Map<number, Piece[]>();
  for (const curve of curves) {
    addTo(ending, curve.from, curve);
    if (curve.to !== curve.from) addTo(ending, curve.to, curve);
  }
  return ending;
}

/** Whether a curve that ends at a place goes on from there along another, which passes the place at a parameter. */
function runsAlong({ from, to, cubic }: Piece, place: number, other: Cubic, t: number, within: number): boolean {
  const lies = (share: number) => {
    const point = pointOn(cubic, share);
    const near = isStraight(other) ? shareAlong(other, point) : nearestParameter(other, point, t);
    return distance(point, pointOn(other, Math.min(1, Math.max(0, near)))) <= within;
  };
  return (from === place && ALONG.every(lies)) || (to === place && ALONG.every((share) => lies(1 - share)));
}

/** The parameter where a curve passes a point, sought from a parameter nearby; null where it does not, or at its ends. */
function passing(cubic: Cubic, point: Point, near: number, within: number): number | null {
  const t = isStraight(cubic) ? shareAlong(cubic, point) : nearestParameter(cubic, point, near);
  if (!(t > 0 && t < 1)) return null;
  const at = pointOn(cubic, t);
  const [start, , , end] = cubic;
  if (distance(at, point) > within || distance(at, start) <= within || distance(at, end) <= within) return null;
  return t;
}

function shareAlong([start, , , end]: Cubic, point: Point): number {
  const [dx, dy] = [end.x - start.x, end.y - start.y];
  return ((point.x - start.x) * dx + (point.y - start.y) * dy) / (dx * dx + dy * dy);
}

/** A straight curve is travelled at an even pace here, as pieces of it are cut. */
function pointOn(cubic: Cubic, t: number): Point {
  const [start, , , end] = cubic;
  if (!isStraight(cubic)) return pointAt(cubic, t);
  return { x: start.x + (end.x - start.x) * t, y: start.y + (end.y - start.y) * t };
}

/** Chords of curves: a quick way to those that pass near a place. */
interface Chords {
  /** The chords whose curves may pass within a distance of a point. */
  readonly near: (point: Point, within: number) => readonly number[];
  /** For each chord the number of its curve. */
  readonly curveOf: readonly number[];
  /** For each chord the parameter at its middle. */
  readonly middleOf: readonly number[];
}

function chordsOf(curves: readonly Piece[]): Chords {
  const curveOf: number[] = [];
  const middleOf: number[] = [];
  /** Start and end of each chord, and how far its curve may be from it. */
  const laid: number[] = [];
  curves.forEach(({ cubic }, curve) => {
    const count = isStraight(cubic) ? 1 : CHORDS;
    const off = isStraight(cubic) ? 0 : offFromChords(cubic, count);
    let start = cubic[0];
    for (let k = 0; k < count; k++) {
      const end = pointOn(cubic, (k + 1) / count);
      curveOf.push(curve);
      middleOf.push((k + 0.5) / count);
      laid.push(start.x, start.y, end.x, end.y, off);
      start = end;
    }
  });
  const at = (chord: number, entry: number) => laid[LAID * chord + entry] ?? 0;
  const tree = new Flatbush(curveOf.length);
  for (let chord = 0; chord < curveOf.length; chord++) {
    const [ax, ay, bx, by, off] = [at(chord, 0), at(chord, 1), at(chord, 2), at(chord, 3), at(chord, 4)];
    tree.add(Math.min(ax, bx) - off, Math.min(ay, by) - off, Math.max(ax, bx) + off, Math.max(ay, by) + off);
  }
  tree.finish();
  const isNear = (point: Point, within: number) => (chord: number) => {
    const [start, end] = [
      { x: at(chord, 0), y: at(chord, 1) },
      { x: at(chord, 2), y: at(chord, 3) },
    ];
    return distanceToChord(point, start, end) <= at(chord, 4) + within;
  };
  return {
    curveOf,
    middleOf,
    near: (point, within) =>
      tree.search(point.x - within, point.y - within, point.x + within, point.y + within, isNear(point, within)),
  };
}

/** Numbers kept of a chord. */
const LAID = 5;

/** The most a curve leaves so many chords of it (Wang's bound). */
function offFromChords([p0, p1, p2, p3]: Cubic, count: number): number {
  const bend = Math.max(
    Math.hypot(p0.x - 2 * p1.x + p2.x, p0.y - 2 * p1.y + p2.y),
    Math.hypot(p1.x - 2 * p2.x + p3.x, p1.y - 2 * p2.y + p3.y),
  );
  return (0.75 * bend) / (count * count);
}
