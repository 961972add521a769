import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { distanceToChord } from "../../geometry/chordDistance";
import { once } from "../../geometry/once";
import { spend } from "../../geometry/effort";
import { addTo } from "../../geometry/keyedLists";
import { areaOfPath } from "../../geometry/path";
import { distance } from "../../geometry/point";
import { areNeighbours, chordsOf, countBits, crossingOf, nearPairs, type Chord, type ChordCrossing } from "./chords";
import { gapBand, LEAST_AREA } from "./commonPlaces";
import { inCommonPlaces, isCrowded } from "./crowded";
import { NearPairs, type PairGroup } from "./nearPairs";
import type { Strand } from "./strands";
import { bandOf, type BandEnds, type Stretch } from "./stretch";
import type { Meeting } from "./meeting";

/** What two chords near each other take, from here until their bands are laid over each other. */
const SECONDS_A_PAIR = 10e-6;
/** Crossings of the same stretches nearer than this are one, millimetres. */
const ONE_PLACE = 0.05;
/** A stretch is taken this much longer at both ends than it was found, millimetres. */
const SPARE = 0.05;
/** Two bands of which one ends on the other have a joint no longer than so many times their half widths together. */
const JOINT = 2;
/** Two places of a strand nearer along it than so many of its widths are neighbours rather than meet. */
const OWN_WIDTHS = 1.6;

/**
 * Every place where bands lie over each other, in the order of the first strand, the second and the way along it. Where
 * bands stay within the gap (millimetres) of each other from one crossing to the next, that is one place. Throws a TooMuchEffort.
 */
export function meetingsOf(strands: readonly Strand[], ends: BandEnds, gap: number): Meeting[] {
  const own = strands.map((strand, number) => chordsOf(strand, number, ends));
  const counts = own.map(countBits);
  const isClosed = (strand: number) => at(strands, strand).run.closed;
  const pairs = new NearPairs(counts, isClosed);
  for (const [a, b] of nearPairs(own.flat(), gap)) {
    spend(SECONDS_A_PAIR);
    if (areNeighbours(a, b, at(counts, a.strand), isClosed(a.strand))) continue;
    const crossing = crossingOf(a, b);
    if (crossing || !areOfOnePlace(a, b, strands, gap)) pairs.add(a, b, crossing);
  }
  const groups = pairs.groups();
  const bands = strands.map((strand) => {
    const area = once(() => bandOf(strand, ends));
    return gapBand(area, gap);
  });
  const meetings = [...byPair(groups).values()].flatMap((of): Meeting[] => {
    const places = of.map((group) => placeOf(group, strands, ends, gap)).filter((place) => place !== null);
    return isCrowded(places, strands, gap) ? inCommonPlaces(places, strands, bands, gap) : places;
  });
  return meetings.sort((a, b) => a.strands[0] - b.strands[0] || a.strands[1] - b.strands[1] || a.along[0] - b.along[0]);
}

/** Groups by the two strands they are of. */
function byPair(groups: readonly PairGroup[]): Map<string, PairGroup[]> {
  const found = new Map<string, PairGroup[]>();
  for (const group of groups) addTo(found, group.sides.map(([chord]) => chord?.strand).join("."), group);
  return found;
}

/** The meeting chords near each other are of; null where one strand only ends on the other, or nothing is in common. */
function placeOf(
  { sides, crossings }: PairGroup,
  strands: readonly Strand[],
  ends: BandEnds,
  gap: number,
): Meeting | null {
  const stretches = stretchesOf(sides, crossings, strands);
  const single = withoutDoubled(crossings);
  const middle =
    single[Math.floor(single.length / 2)] ??
    (endsOn(sides, strands, gap) ? null : meetingUncrossed(stretches, strands, ends));
  return (
    middle && {
      strands: [stretches[0].strand, stretches[1].strand],
      stretches,
      crossings: single.length,
      changesSides: single.length % 2 === 1,
      taken: null,
      ...middle,
    }
  );
}

/** Whether two chords of a strand are near each other only for being near along it. */
function areOfOnePlace(a: Chord, b: Chord, strands: readonly Strand[], gap: number): boolean {
  if (a.strand !== b.strand) return false;
  const { length, run } = at(strands, a.strand);
  const along = Math.abs(b.start - a.start);
  return Math.min(along, run.closed ? length - along : Infinity) < OWN_WIDTHS * (a.reach + b.reach + gap);
}

function withoutDoubled(crossings: readonly ChordCrossing[]): ChordCrossing[] {
  const sorted = [...crossings].sort((a, b) => a.along[0] - b.along[0]);
  return sorted.filter(({ point }, k) => {
    const before = sorted[k - 1];
    return !before || distance(before.point, point) > ONE_PLACE;
  });
}

/** The stretches that two lists of chords make up; where they run into each other, what is near the crossing. */
function stretchesOf(
  [first, second]: readonly [readonly Chord[], readonly Chord[]],
  crossings: readonly ChordCrossing[],
  strands: readonly Strand[],
): readonly [Stretch, Stretch] {
  const stretches = [first, second].map((chords) => stretchOf(chords, strands));
  const [a, b] = [at(stretches, 0), at(stretches, 1)];
  const [crossing] = crossings;
  if (a.strand !== b.strand || !crossing) return [a, b];
  const { length, run } = at(strands, a.strand);
  const [p, q] = crossing.along;
  const apart = (one: number, other: number) => {
    const along = Math.abs(one - other);
    return Math.min(along, run.closed ? length - along : Infinity);
  };
  const reach = [...first, ...second].reduce((most, { start, end }) => {
    const near = Math.min(apart(start, p), apart(start, q));
    return Math.max(most, near, Math.min(apart(end, p), apart(end, q)));
  }, 0);
  const near = Math.min(apart(p, q) / 2, reach + SPARE);
  const around = (place: number): Stretch => ({ strand: a.strand, from: place - near, to: place + near });
  return [around(p), around(q)];
}

/** From the first chord to the last; on a closed strand over the start if the longest way without chords lies elsewhere. */
function stretchOf(chords: readonly Chord[], strands: readonly Strand[]): Stretch {
  const strand = chords[0]?.strand ?? 0;
  const { length, run } = at(strands, strand);
  const sorted = [...chords].sort((a, b) => a.start - b.start);
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last) return { strand, from: 0, to: 0 };
  let [from, to] = [first.start, last.end];
  let longest = run.closed ? first.start + length - last.end : Infinity;
  sorted.forEach((chord, k) => {
    const next = sorted[k + 1];
    if (!next || next.start - chord.end <= longest) return;
    longest = next.start - chord.end;
    [from, to] = [next.start - length, chord.end];
  });
  if (run.closed && longest < SPARE) return { strand, from: 0, to: length };
  return { strand, from: from - SPARE, to: to + SPARE };
}

/**
 * Whether one of two strands only ends on the other's band: they are joined there, and neither passes. One that goes on over the
 * other for longer than a joint lies on it.
 */
function endsOn(
  [first, second]: readonly [readonly Chord[], readonly Chord[]],
  strands: readonly Strand[],
  gap: number,
): boolean {
  const isEndOn = (own: readonly Chord[], others: readonly Chord[]) => {
    const { run, length } = at(strands, own[0]?.strand ?? 0);
    const reach = widest(own) + widest(others);
    const [from, to] = [Math.min(...own.map(({ start }) => start)), Math.max(...own.map(({ end }) => end))];
    if (to - from > JOINT * reach + gap) return false;
    const tips = own.flatMap(({ from, to, start, end }) => [
      ...(start < ONE_PLACE ? [from] : []),
      ...(end > length - ONE_PLACE ? [to] : []),
    ]);
    return (
      !run.closed &&
      tips.some((tip) => others.some((other) => distanceToChord(tip, other.from, other.to) <= other.reach))
    );
  };
  return isEndOn(first, second) || isEndOn(second, first);
}

const widest = (chords: readonly Chord[]) => chords.reduce((most, { reach }) => Math.max(most, reach), 0);

/** Where bands lie over each other though their middle lines do not cross; null where they do not. */
function meetingUncrossed(
  [a, b]: readonly [Stretch, Stretch],
  strands: readonly Strand[],
  ends: BandEnds,
): ChordCrossing | null {
  if (a.strand === b.strand) return null;
  const common = combine(
    [bandOf(at(strands, a.strand), ends, a), bandOf(at(strands, b.strand), ends, b)],
    "intersection",
  );
  if (Math.abs(areaOfPath(common)) < LEAST_AREA) return null;
  const middles = [a, b].map(({ strand, from, to }) => {
    const { length } = at(strands, strand);
    return ((from + to) / 2 + length) % length;
  });
  const [p, q] = [at(middles, 0), at(middles, 1)];
  const [onA, onB] = [at(strands, a.strand).line.measured.at(p).point, at(strands, b.strand).line.measured.at(q).point];
  return { along: [p, q], point: { x: (onA.x + onB.x) / 2, y: (onA.y + onB.y) / 2 } };
}
