import Flatbush from "flatbush";
import { boxOfPath, type Subpath } from "./path";
import { distanceToChord } from "./chordDistance";
import { flattenPath } from "./flatten";
import type { Point } from "./point";
import { windingOf, type Chord } from "./winding";

/** How closed runs lie within each other. */
export interface Nesting {
  /** For each run how many others lie around it. */
  readonly levels: readonly number[];
  /** For each run the number of the one next around it; null where there is none. */
  readonly around: readonly (number | null)[];
}

/** Chords by which it is told what lies within what, millimetres from their curves. */
const FINE = 0.02;

/** How closed runs lie within each other; runs that cross do not. */
export function nestingOf(runs: readonly Subpath[]): Nesting {
  if (runs.length === 0) return { levels: [], around: [] };
  const boxes = runs.map((run) => boxOfPath([run]));
  const points = runs.map((run) => flattenPath([run], FINE)[0] ?? []);
  const chords = points.map(chordsOf);
  const index = new Flatbush(runs.length);
  for (const { left, top, right, bottom } of boxes) index.add(left, top, right, bottom);
  index.finish();
  const holders = runs.map((_, inner) => {
    const box = boxes[inner];
    const samples = samplesOf(chords[inner] ?? []);
    if (!box) return [];
    return index
      .search(box.left, box.top, box.right, box.bottom, (outer) => outer !== inner && holds(boxes[outer], box))
      .filter((outer) => isAround(chords[outer] ?? [], samples));
  });
  const levels = holders.map((own) => own.length);
  const around = holders.map((own) =>
    own.reduce<number | null>(
      (nearest, outer) => (nearest === null || (levels[outer] ?? 0) > (levels[nearest] ?? 0) ? outer : nearest),
      null,
    ),
  );
  return { levels, around };
}

function chordsOf(points: readonly Point[]): Chord[] {
  return points.map((from, k): Chord => [from, points[(k + 1) % points.length] ?? from]);
}

const SAMPLES = 8;

/** Middles of chords: two runs that touch do so at corners more often than anywhere else. */
function samplesOf(chords: readonly Chord[]): Point[] {
  const step = Math.max(1, Math.floor(chords.length / SAMPLES));
  return chords.filter((_, k) => k % step === 0).map(([p, q]) => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 }));
}

/** Nearer to a chord than this nothing is told of a place, millimetres. */
const ON = 1e-6;

/** Whether all places lie within a run, but for those it runs through. */
function isAround(chords: readonly Chord[], places: readonly Point[]): boolean {
  let isWithin = false;
  for (const place of places) {
    if (windingOf(chords, place) !== 0) isWithin = true;
    else if (!chords.some(([p, q]) => distanceToChord(place, p, q) < ON)) return false;
  }
  return isWithin;
}

interface Sides {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

function holds(outer: Sides | undefined, inner: Sides): boolean {
  return (
    outer !== undefined &&
    outer.left <= inner.left &&
    outer.top <= inner.top &&
    outer.right >= inner.right &&
    outer.bottom >= inner.bottom
  );
}
