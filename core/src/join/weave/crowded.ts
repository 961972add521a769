import { at } from "../../geometry/at";
import { distanceToChord } from "../../geometry/chordDistance";
import { flattenPath } from "../../geometry/flatten";
import type { Point } from "../../geometry/point";
import { isInside } from "../../geometry/pointInLoop";
import { commonPlaces, type CommonPlace, type GapBand } from "./commonPlaces";
import type { Meeting } from "./meeting";
import type { Strand } from "./strands";
import { overlap, type Stretch } from "./stretch";

/** Outlines are taken as chords so near to their curves, millimetres. */
const FINE = 0.01;

/**
 * Whether two strands do more than cross here and there: where they lie along each other, or what they take from each other at
 * one meeting would reach into another, not their stretches tell what that is, but the areas they have in common. With no gap
 * (millimetres) between them it is to be theirs exactly.
 */
export function isCrowded(meetings: readonly Meeting[], strands: readonly Strand[], gap: number): boolean {
  const [first] = meetings;
  if (!first || first.strands[0] === first.strands[1]) return false;
  return (
    gap === 0 ||
    meetings.some(({ crossings }) => crossings > 1) ||
    meetings.some((one, k) =>
      meetings
        .slice(k + 1)
        .some((other) =>
          [0, 1].some((side) =>
            overlap(at(one.stretches, side), at(other.stretches, side), lengthOf(one, side, strands)),
          ),
        ),
    )
  );
}

const lengthOf = ({ strands: own }: Meeting, side: number, strands: readonly Strand[]) =>
  at(strands, at(own, side)).length;

/** The meetings of two strands, one for each place that they have in common: those in one place become one. */
export function inCommonPlaces(
  meetings: readonly Meeting[],
  strands: readonly Strand[],
  bands: readonly GapBand[],
  gap: number,
): Meeting[] {
  const [first] = meetings;
  if (!first) return [];
  const places = commonPlaces(at(bands, first.strands[0]), at(bands, first.strands[1]), gap);
  if (places.length === 0) return [...meetings];
  const loops = places.map(({ region }) => flattenPath(region, FINE));
  const nearest = meetings.map(({ point }) => {
    const away = loops.map((own) => distanceTo(point, own));
    return away.indexOf(Math.min(...away));
  });
  const tips = first.strands.flatMap((strand) => tipsOf(at(strands, strand)));
  // A place that no meeting is in belongs to that of the nearest place, unless a strand only ends on the other there.
  const owners = places.map((_, index) => {
    const own = at(loops, index);
    const [[start = { x: 0, y: 0 }] = []] = own;
    if (nearest.includes(index)) return index;
    if (tips.some((tip) => distanceTo(tip, own) < FINE)) return null;
    return nearest.reduce((best, other) =>
      distanceTo(start, at(loops, other)) < distanceTo(start, at(loops, best)) ? other : best,
    );
  });
  return [...new Set(nearest)].map((owner) =>
    asOne(
      meetings.filter((_, k) => nearest[k] === owner),
      places.filter((_, index) => owners[index] === owner),
      strands,
    ),
  );
}

/** Where an open strand begins and ends. */
function tipsOf({ run, line, length }: Strand): Point[] {
  return run.closed ? [] : [0, length].map((along) => line.measured.at(along).point);
}

/** How far a point is from an area, millimetres; nought within it. */
function distanceTo(point: Point, loops: readonly (readonly Point[])[]): number {
  if (loops.filter((loop) => isInside(point, loop)).length % 2 === 1) return 0;
  const away = loops.flatMap((loop) => loop.slice(1).map((to, k) => distanceToChord(point, loop[k] ?? to, to)));
  return Math.min(...away);
}

/** Meetings of two strands as one, which all that is taken in some places belongs to. */
function asOne(meetings: readonly Meeting[], places: readonly CommonPlace[], strands: readonly Strand[]): Meeting {
  const middle = at(meetings, Math.floor(meetings.length / 2));
  const crossings = meetings.reduce((sum, own) => sum + own.crossings, 0);
  const both = (side: 0 | 1) =>
    meetings.map(({ stretches }) => stretches[side]).reduce((a, b) => around(a, b, lengthOf(middle, side, strands)));
  const taken = [places.flatMap((place) => place.taken[0]), places.flatMap((place) => place.taken[1])] as const;
  return { ...middle, stretches: [both(0), both(1)], crossings, changesSides: crossings % 2 === 1, taken };
}

/** The shorter stretch that has both in it, of a strand of a length that may go round. */
function around(a: Stretch, b: Stretch, length: number): Stretch {
  const ways = [-length, 0, length].map((round): Stretch => {
    return { strand: a.strand, from: Math.min(a.from, b.from + round), to: Math.max(a.to, b.to + round) };
  });
  return ways.reduce((best, way) => (way.to - way.from < best.to - best.from ? way : best));
}
