import type { CutWay } from "../design/cutFields";
import type { ResolvedMaking } from "../design/makingFields";
import { at } from "../geometry/at";
import type { Cubic } from "../geometry/cubic";
import { offsetPath } from "../geometry/offset/offset";
import { areaOfPath, reversePath, segmentsOf, subpathOf, type Path, type Subpath } from "../geometry/path";
import { measurePath, nodeLengths } from "../geometry/pathLength";
import { distance, type Point } from "../geometry/point";
import { begunAt, stretchOf } from "../geometry/stretchOf";
import type { Stretch } from "./bridges";

/** Something the head does without a break in its work: along one line, lifted only over bridges. */
export interface CutStroke {
  /** What is done. */
  readonly as: CutWay;
  /** The id of the part. */
  readonly part: string;
  /** Where the head is down, in order; open runs, millimetres on the sheet. */
  readonly runs: readonly Subpath[];
  /** For closed outlines how many others lie around them; null for lines. */
  readonly level: number | null;
}

/** How cuts are made. */
export type CutSettings = ResolvedMaking["cut"];

/** An outline moved to where the middle of the cut runs, so that what stays has its size: outer ones grow by half of the kerf, inner ones shrink. None where it vanishes. */
export function kerfed(run: Subpath, level: number, kerf: number): Path {
  if (kerf === 0) return [run];
  return offsetPath([run], level % 2 === 0 ? kerf / 2 : -kerf / 2, "round").filter(
    (own) => areaOfPath([own]) > 0 || level % 2 === 1,
  );
}

/** Where along a closed run it is best entered between two places: at the node that makes the way there and on shortest. */
export function entryOf(run: Subpath, before: Point, after: Point | null): number {
  let [best, node] = [Infinity, 0];
  segmentsOf(run).forEach(([start], index) => {
    const way = distance(before, start) + (after ? distance(start, after) : 0);
    if (way < best - 1e-9) [best, node] = [way, index];
  });
  return nodeLengths(run)[node] ?? 0;
}

/**
 * A closed run as the head goes round it: begun so far along, entered by an arc from the waste side and gone on over its
 * beginning, lifted over its bridges.
 */
export function aroundRun(
  run: Subpath,
  { at: begin, level, bridges }: { readonly at: number; readonly level: number; readonly bridges: readonly Stretch[] },
  overcut: number,
  entering: Entering,
): Subpath[] {
  const { length } = measurePath(run);
  const side = wasteSide(run, level);
  if (bridges.length > 0) {
    const cuts = between(bridges, length);
    return cuts.flatMap(({ from, to }) => betweenBridges(run, { from, to }, entering, side));
  }
  const begun = begunAt(run, begin);
  const over = overcut > 0 ? segmentsOf(stretchOf(begun, 0, Math.min(overcut, length))) : [];
  return [subpathOf([...entering(begun, side), ...segmentsOf(begun), ...over], false)];
}

/** The stretches between bridges, the first one after the first bridge. */
function between(bridges: readonly Stretch[], length: number): Stretch[] {
  return bridges.flatMap(({ to: from }, index): Stretch[] => {
    const next = bridges[index + 1];
    const to = next ? next.from : (bridges[0]?.from ?? 0) + length;
    if (to - from < 1e-6) return [];
    return from >= length ? [{ from: from - length, to: to - length }] : [{ from, to }];
  });
}

/**
 * A stretch between two bridges. Entered from waste it is cut from its middle both ways: at its ends the head would come down
 * on the edge of what is kept, or beside the bridge.
 */
function betweenBridges(run: Subpath, { from, to }: Stretch, entering: Entering, side: Side): Subpath[] {
  const middle = (from + to) / 2;
  const [on, back] = [stretchOf(run, middle, to), reversePath([stretchOf(run, from, middle)])[0]];
  const leads = [entering(on, side), back ? entering(back, side === 1 ? -1 : 1) : []];
  if (!back || leads.every((lead) => lead.length === 0)) return [stretchOf(run, from, to)];
  return [on, back].map((stretch, index) => subpathOf([...at(leads, index), ...segmentsOf(stretch)], false));
}

/** On which side of a run waste lies, as it goes: 1 for its left as the sheet is seen. */
export type Side = 1 | -1;

/** How a run is come to from its waste side: the way that ends where the run begins, nothing where it is begun on its edge. */
export type Entering = (run: Subpath, side: Side) => Cubic[];

/** Waste lies outside of outer outlines and inside of inner ones; a run that goes clockwise on the sheet has its outside at its left. */
function wasteSide(run: Subpath, level: number): Side {
  return areaOfPath([run]) > 0 === (level % 2 === 0) ? 1 : -1;
}
