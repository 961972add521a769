import { once } from "../once";
import { pieceOf, pointAt, type Cubic } from "../cubic";
import { areaOfPath, subpathOf, type Path, type Subpath } from "../path";
import { distance, type Point } from "../point";
import { ChordIndex, shareAlong, type Chord } from "./chordIndex";
import type { Loop } from "./loop";
import { CELLS_PER_MILLIMETRE, type Facets } from "./facets";
import { knownChord } from "./knownChord";
import { meet, nearestParameter } from "./meet";

/** A loop whose area is no more than its length times so many cells is none. */
const THIN = 3;
/** A run shorter than this is no run, millimetres. */
const LEAST_RUN = 1e-6;

/** A piece of an input curve travelled from one parameter to another, or a straight edge of no curve's. */
interface Run {
  readonly curve: number;
  from: number;
  to: number;
  start: Point;
  end: Point;
}

/**
 * Gives the loops of a result their true curves back: every edge is looked up on the input curve it was
 * flattened from, edges of one curve are joined into a run, and where two runs meet the curves' own
 * crossing is found by Newton's method. Slivers thinner than the grid can tell are left out.
 */
export function recoverCurves(loops: readonly Loop[], facets: Facets, index = chordIndexOf(facets)): Path {
  return loops.flatMap((loop) => {
    if (isSliver(loop)) return [];
    const runs = refined(mergedRuns(loop, facets, index, true), facets, true);
    const outline = drawn(runs, facets, true);
    // What lay open between rounded crossings may close where curves truly cross.
    return runs.length === 0 || isThin(runs, areaOfPath([outline])) ? [] : [outline];
  });
}

/** Whether a loop of runs is as thin as the grid's cells. */
function isThin(runs: readonly Run[], area: number): boolean {
  const round = runs.reduce((sum, { start, end }) => sum + distance(start, end), 0);
  return Math.abs(area) <= (round * THIN) / CELLS_PER_MILLIMETRE;
}

/** The same for a chain of vertices that does not close. */
export function recoverLine(chain: Loop, facets: Facets, index = chordIndexOf(facets)): Path {
  const runs = refined(mergedRuns(chain, facets, index, false), facets, false);
  return runs.length === 0 ? [] : [drawn(runs, facets, false)];
}

/** Finds chords by place; built when first asked for, and shared between results of the same facets. */
export function chordIndexOf(facets: Facets): () => ChordIndex {
  return once(() => new ChordIndex(facets));
}

/** Whether a loop is as thin as the rounding to the grid: its area is no more than its length times a few cells. */
function isSliver(loop: Loop): boolean {
  let length = 0;
  loop.forEach((p, index) => {
    const q = loop[(index + 1) % loop.length] ?? p;
    length += Math.hypot(q.x - p.x, q.y - p.y);
  });
  return Math.abs(areaOfLoop(loop)) <= length * THIN;
}

/** The area of a loop, in cells squared; above 0 where it runs clockwise on the sheet. */
export function areaOfLoop(loop: Loop): number {
  let twice = 0;
  loop.forEach((p, index) => {
    const q = loop[(index + 1) % loop.length] ?? p;
    twice += p.x * q.y - q.x * p.y;
  });
  return twice / 2;
}

function mergedRuns(loop: Loop, facets: Facets, index: () => ChordIndex, closed: boolean): Run[] {
  const runs: Run[] = [];
  loop.forEach((p, at) => {
    if (!closed && at === loop.length - 1) return;
    const q = loop[(at + 1) % loop.length] ?? p;
    const last = runs.at(-1);
    const run = runOf(p, q, facets, index, last);
    if (last && continues(last, run)) {
      last.to = run.to;
      last.end = run.end;
    } else runs.push(run);
  });
  const [first] = runs;
  const last = runs.at(-1);
  if (closed && first && last && first !== last && continues(last, first)) {
    first.from = last.from;
    first.start = last.start;
    runs.pop();
  }
  return runs.filter(
    ({ start, end, curve, from, to }) => curve >= 0 || distance(start, end) > LEAST_RUN || from !== to,
  );
}

function continues(last: Run, next: Run): boolean {
  if (last.curve < 0 || last.curve !== next.curve || Math.abs(last.to - next.from) > 1e-3) return false;
  return Math.sign(last.to - last.from) === Math.sign(next.to - next.from);
}

type Vertex = Loop[number];

function runOf(p: Vertex, q: Vertex, facets: Facets, index: () => ChordIndex, last: Run | undefined): Run {
  const start = inMillimetres(p);
  const end = inMillimetres(q);
  const whole = wholeChord(p, q, facets);
  if (whole) return { ...whole, start, end };
  const arrived = last && last.curve >= 0 ? { curve: last.curve, t: last.to } : null;
  const chord = knownChord(p, q, arrived, facets) ?? index().chordThrough(p, q, last?.curve);
  if (!chord) return { curve: -1, from: 0, to: 1, start, end };
  return { curve: chord.curve, from: parameterOn(p, chord, facets), to: parameterOn(q, chord, facets), start, end };
}

function inMillimetres({ x, y }: Point): Point {
  return { x: x / CELLS_PER_MILLIMETRE, y: y / CELLS_PER_MILLIMETRE };
}

function parameterOn(point: Point, chord: Chord, { curves }: Facets): number {
  return (chord.chord + shareAlong(point, chord)) / (curves[chord.curve]?.chords ?? 1);
}

/** The curve and parameters of an edge between two neighbouring vertices of one curve. */
function wholeChord(p: Vertex, q: Vertex, facets: Facets): Pick<Run, "curve" | "from" | "to"> | null {
  return forwardChord(p.vertex, q.vertex, facets) ?? reversed(forwardChord(q.vertex, p.vertex, facets));
}

function reversed(run: Pick<Run, "curve" | "from" | "to"> | null): Pick<Run, "curve" | "from" | "to"> | null {
  return run && { curve: run.curve, from: run.to, to: run.from };
}

function forwardChord(p: number, q: number, facets: Facets): Pick<Run, "curve" | "from" | "to"> | null {
  if (p === 0 || q === 0) return null;
  const curve = facets.curveOf[p] ?? -1;
  const chord = facets.chordOf[p] ?? 0;
  const chords = facets.curves[curve]?.chords ?? 1;
  const next = facets.curveOf[q] ?? -1;
  const follows =
    chord + 1 < chords
      ? next === curve && facets.chordOf[q] === chord + 1
      : facets.chordOf[q] === 0 && facets.curves[next]?.before === curve;
  return follows ? { curve, from: chord / chords, to: (chord + 1) / chords } : null;
}

/** Moves the ends of neighbouring runs to where their curves truly meet. */
function refined(runs: Run[], facets: Facets, closed: boolean): Run[] {
  const kept = runs.filter(({ start, end, from, to }) => distance(start, end) > LEAST_RUN || Math.abs(to - from) > 0.1);
  if (kept.length < 2) return kept;
  kept.forEach((run, at) => {
    const next = closed ? kept[(at + 1) % kept.length] : kept[at + 1];
    if (next) join(run, next, facets);
  });
  return kept;
}

function join(run: Run, next: Run, { curves }: Facets): void {
  const a = curves[run.curve]?.cubic;
  const b = curves[next.curve]?.cubic;
  const near = run.end;
  const met = a && b ? meetingOf(a, run.to, b, next.from, near) : { point: near, t: run.to, u: next.from };
  run.to = met.t;
  run.end = met.point;
  next.from = met.u;
  next.start = met.point;
}

/** How far a crossing may be from where the grid has it, millimetres: the chord's own error and a bit. */
const FARTHEST = 0.05;

function meetingOf(a: Cubic, t: number, b: Cubic, u: number, near: Point): { point: Point; t: number; u: number } {
  const [tEnd, uEnd] = [endNear(a, t), endNear(b, u)];
  if (tEnd !== null && uEnd !== null) return { point: pointAt(a, tEnd), t: tEnd, u: uEnd };
  if (tEnd !== null) {
    const point = pointAt(a, tEnd);
    return { point, t: tEnd, u: parameterNear(b, point, u) };
  }
  if (uEnd !== null) {
    const point = pointAt(b, uEnd);
    return { point, t: parameterNear(a, point, t), u: uEnd };
  }
  const crossing = meet(a, t, b, u);
  if (crossing && isBy(a, t, crossing.t, near) && isBy(b, u, crossing.u, near)) return crossing;
  return { point: near, t: parameterNear(a, near, t), u: parameterNear(b, near, u) };
}

/** Whether a curve stays by a place from one parameter to another, and does not go out and come back to it. */
function isBy(curve: Cubic, from: number, to: number, place: Point): boolean {
  return [(from + to) / 2, to].every((t) => distance(pointAt(curve, t), place) < FARTHEST);
}

/** Where a curve comes closest to a point, near a parameter; the parameter itself where the search leads away from it. */
function parameterNear(curve: Cubic, point: Point, near: number): number {
  const t = nearestParameter(curve, point, near);
  return isBy(curve, near, t, point) ? t : near;
}

/** 0 or 1 when the parameter is at that end of the curve as far as the grid can tell; null in between. */
function endNear(cubic: Cubic, t: number): number | null {
  const within = 6 / CELLS_PER_MILLIMETRE;
  const point = pointAt(cubic, t);
  if (t < 0.01 && distance(point, cubic[0]) < within) return 0;
  if (t > 0.99 && distance(point, cubic[3]) < within) return 1;
  return null;
}

function drawn(runs: readonly Run[], { curves }: Facets, closed: boolean): Subpath {
  const segments = runs.map(({ curve, from, to, start, end }): Cubic => {
    const source = curves[curve];
    if (!source || source.straight) return [start, start, end, end];
    const [, leave, arrive] = pieceOf(source.cubic, from, to);
    return [start, leave, arrive, end];
  });
  return subpathOf(segments, closed);
}
