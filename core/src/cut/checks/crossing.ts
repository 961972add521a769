import Flatbush from "flatbush";
import { at } from "../../geometry/at";
import { boxOfPoints } from "../../geometry/box";
import { distanceToChord } from "../../geometry/chordDistance";
import { crossingsOf, type Crossing, type Owned } from "../../geometry/crossings";
import { flattenPath } from "../../geometry/flatten";
import { segmentsOf, type Subpath } from "../../geometry/path";
import { measurePath, type MeasuredPath } from "../../geometry/pathLength";
import { distance, type Point } from "../../geometry/point";
import { isInside } from "../../geometry/pointInLoop";
import { placesOnRuns } from "../bridges";
import { defineCutCheck } from "./definition";

/** Crossings nearer than this are one place, millimetres. */
const ONE_PLACE = 0.05;
/** How far before and behind a crossing it is looked whether an outline goes through another, millimetres: near, and where they cross flatly. */
const BESIDE = [0.02, 0.1, 0.3, 0.6];
/** What reaches no deeper into another only touches it, millimetres: circles are drawn true to about as much. */
const DEEP = 0.025;
/** Chords by which it is told what lies inside an outline, millimetres from its curves. */
const FINE = 0.001;

/** Places that are looked for at most: who sees so many looks for no more. */
const MOST = 300;

/** Whether a cut goes through a neighbouring piece: `count` is how many places there are, `most` how many are looked for. */
export const crossing = defineCutCheck({
  kind: "crossing",
  check({ loops }) {
    const runs = loops.map(({ run }) => run);
    const chords = runs.map((run) => flattenPath([run], FINE)[0] ?? []);
    const measured = runs.map((run) => measurePath(run));
    const places: Point[] = [];
    for (const { point, owners } of meetingsOf(runs)) {
      if (places.length === MOST) break;
      const [one, two] = owners;
      if (places.some((known) => distance(known, point) < ONE_PLACE)) continue;
      if (goesThrough(at(runs, one), at(measured, one), at(chords, two), point)) places.push(point);
    }
    return { state: places.length > 0 ? "doubtful" : "passed", figures: { count: places.length, most: MOST }, places };
  },
});

/** Where curves of different runs meet; touching is meeting too. */
function* meetingsOf(runs: readonly Subpath[]): Generator<Crossing> {
  const curves = runs.flatMap((run, owner) => segmentsOf(run).map((cubic): Owned => ({ cubic, owner })));
  if (curves.length === 0) return;
  const boxes = curves.map(({ cubic }) => boxOfPoints(cubic));
  const index = new Flatbush(curves.length);
  for (const { left, top, right, bottom } of boxes) index.add(left, top, right, bottom);
  index.finish();
  for (const [number, curve] of curves.entries()) {
    const { left, top, right, bottom } = at(boxes, number);
    const isBeyond = (other: number) => other > number && at(curves, other).owner !== curve.owner;
    for (const other of index.search(left, top, right, bottom, isBeyond))
      yield* crossingsOf([curve, at(curves, other)]);
  }
}

/** Whether a run comes from one side of an outline and goes on well on the other, at a place on both. */
function goesThrough(run: Subpath, measured: MeasuredPath, outline: readonly Point[], place: Point): boolean {
  const along = placesOnRuns([run], [place], Infinity).get(0)?.[0] ?? 0;
  return BESIDE.some((off) => {
    const [before, behind] = [measured.at(along - off).point, measured.at(along + off).point];
    const isIn = isInside(before, outline);
    if (isIn === isInside(behind, outline)) return false;
    const depth = distanceToLoop(isIn ? before : behind, outline);
    return depth > Math.min(DEEP, off / 2);
  });
}

const distanceToLoop = (point: Point, loop: readonly Point[]) =>
  loop.reduce((least, to, k) => Math.min(least, distanceToChord(point, loop.at(k - 1) ?? to, to)), Infinity);
