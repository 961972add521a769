import { at as entryAt } from "../geometry/at";
import type { Subpath } from "../geometry/path";
import { measurePath, type MeasuredPath } from "../geometry/pathLength";
import { distance, type Point } from "../geometry/point";

/** A stretch of a closed run, by lengths along it; its end may lie beyond the run's, which is gone on round then. */
export interface Stretch {
  /** Millimetres from the run's start. */
  readonly from: number;
  /** More than `from`. */
  readonly to: number;
}

/** Places at which a run is looked at for its straightest, for each bridge. */
const PLACES = 48;
/** Stretches are as straight as each other where they turn by this much more or less, radians, or by this share: curves are nearly arcs. */
const ALIKE = 1e-3;
const ALIKE_SHARE = 0.05;
/** Bridges by hand are set on runs nearer than this, millimetres. */
const REACH = 5;

/**
 * Where a closed run is left uncut: so many stretches about as far from each other, at straight places, and one where each
 * place set by hand is nearest. Stretches that would lie on each other become one.
 */
export function bridgesOn(run: Subpath, count: number, width: number, byHand: readonly number[]): Stretch[] {
  const measured = measurePath(run);
  const { length } = measured;
  const middles = [...byHand, ...straightest(measured, count, width)];
  if (width <= 0 || middles.length === 0) return [];
  // A run that is not longer than its bridges stays whole.
  if (middles.length * width >= length) return [{ from: 0, to: length }];
  const stretches = middles
    .map((middle) => wrapped(middle - width / 2, length))
    .sort((a, b) => a - b)
    .map((from) => ({ from, to: from + width }));
  return united(stretches, length);
}

/** For each place the run that is nearest, and how far along it that is; places further than a reach from every run are left out. Millimetres. */
export function placesOnRuns(runs: readonly Subpath[], places: readonly Point[], reach = REACH): Map<number, number[]> {
  const measured = places.length === 0 ? [] : runs.map((run) => measurePath(run));
  const found = new Map<number, number[]>();
  for (const place of places) {
    let best = { run: -1, at: 0, away: reach };
    measured.forEach((own, run) => {
      const near = nearestAlong(own, place);
      if (near.away < best.away) best = { run, ...near };
    });
    if (best.run >= 0) found.set(best.run, [...(found.get(best.run) ?? []), best.at]);
  }
  return found;
}

function nearestAlong(measured: MeasuredPath, place: Point): { at: number; away: number } {
  const { length } = measured;
  const awayAt = (at: number) => distance(measured.at(at).point, place);
  let best = { at: 0, away: Infinity };
  const count = Math.max(32, Math.min(2_000, Math.ceil(length / 0.5)));
  for (let k = 0; k < count; k++) {
    const at = (length * k) / count;
    const away = awayAt(at);
    if (away < best.away) best = { at, away };
  }
  for (let step = length / count; step > 1e-6; step /= 2) {
    for (const at of [best.at - step, best.at + step]) {
      const away = awayAt(at);
      if (away < best.away) best = { at: wrapped(at, length), away };
    }
  }
  return best;
}

/**
 * The middles of so many stretches that lie about as far from each other: no two next to each other are further apart than
 * evenly by more than a tenth. Of all such the straightest; where all are alike, from the middle of the first equal part on.
 */
function straightest(measured: MeasuredPath, wanted: number, width: number): number[] {
  const count = Math.round(wanted);
  const step = measured.length / (count * PLACES);
  const bends = Array.from({ length: count * PLACES }, (_, k) => bendAt(measured, k * step, width));
  let best: { readonly middles: readonly number[]; readonly bend: number } = { middles: [], bend: Infinity };
  for (const first of fromTheMiddle(PLACES)) {
    const middles = Array.from({ length: count }, (_, part) => straightestNear(bends, part * PLACES + first));
    const bend = middles.reduce((sum, at) => sum + entryAt(bends, at), 0);
    if (isStraighter(bend, best.bend)) best = { middles, bend };
  }
  return best.middles.map((at) => at * step);
}

/** Numbers below another, from the middle out. */
function fromTheMiddle(count: number): number[] {
  const middle = Math.floor(count / 2);
  return Array.from({ length: count }, (_, k) => middle + (k % 2 === 0 ? k / 2 : -(k + 1) / 2));
}

/** Of the places a twentieth of the even distance around one the straightest, itself where none is by more than a little. */
function straightestNear(bends: readonly number[], at: number): number {
  const reach = Math.floor(PLACES / 20);
  let best = at % bends.length;
  for (let off = -reach; off <= reach; off++) {
    const near = (at + off + bends.length) % bends.length;
    if (isStraighter(entryAt(bends, near), entryAt(bends, best))) best = near;
  }
  return best;
}

function isStraighter(bend: number, than: number): boolean {
  return bend < Math.min(than - ALIKE, than * (1 - ALIKE_SHARE));
}

/** How far the direction turns over a stretch, radians. */
function bendAt(measured: MeasuredPath, middle: number, width: number): number {
  const steps = 6;
  let sum = 0;
  let before = measured.at(middle - width / 2).tangent;
  for (let k = 1; k <= steps; k++) {
    const next = measured.at(middle - width / 2 + (width * k) / steps).tangent;
    sum += Math.abs(Math.atan2(before.x * next.y - before.y * next.x, before.x * next.x + before.y * next.y));
    before = next;
  }
  return sum;
}

function wrapped(at: number, length: number): number {
  const rest = at % length;
  return rest < 0 ? rest + length : rest;
}

/** Stretches in order along a run, those that touch made one. */
function united(stretches: readonly Stretch[], length: number): Stretch[] {
  const all: Stretch[] = [];
  for (const stretch of stretches) {
    const last = all.at(-1);
    if (last && stretch.from <= last.to) all[all.length - 1] = { from: last.from, to: Math.max(last.to, stretch.to) };
    else all.push(stretch);
  }
  const [first, last] = [all[0], all.at(-1)];
  if (first && last && first !== last && last.to - length >= first.from) {
    all.shift();
    all[all.length - 1] = { from: last.from, to: Math.max(last.to, first.to + length) };
  }
  return all;
}
