import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { pointAt } from "../../geometry/cubic";
import { areaOfPath, boxOfPath, segmentsOf, type Path } from "../../geometry/path";
import { measurePath } from "../../geometry/pathLength";
import { distance, meanOf, type Point } from "../../geometry/point";
import { commonPlaces, gapBand, mayMeet, without, type CommonPlace } from "./commonPlaces";
import { unseenArea } from "./rounds";
import type { Round } from "./settle";
import type { Woven } from "./weave";

/** A place where two filled copies lie over each other. */
interface Overlap extends Woven, CommonPlace {}

/** Every connected place two copies have in common, with a gap (millimetres) around what lies over. */
export function overlapsOf(copies: readonly Path[], gap: number): Overlap[] {
  const boxes = copies.map((path) => boxOfPath(path));
  const alongs = copies.map(spineOf);
  const bands = copies.map((area) => gapBand(() => area, gap));
  const found: Overlap[] = [];
  for (let a = 0; a < copies.length; a++) {
    for (let b = a + 1; b < copies.length; b++) {
      if (!mayMeet(boxes[a], boxes[b])) continue;
      for (const { region, taken } of commonPlaces(at(bands, a), at(bands, b), gap)) {
        const point = meanAlong(region);
        const along = [at(alongs, a)(point), at(alongs, b)(point)] as const;
        found.push({ strands: [a, b], along, point, changesSides: true, region, taken });
      }
    }
  }
  return found;
}

/** Threes of copies that lie over each other in one place, by their overlaps. */
export function roundsOfBands(overlaps: readonly Overlap[], gap: number): Round[] {
  const byPair = new Map<string, number[]>();
  overlaps.forEach(({ strands }, index) => {
    const pair = strands.join(".");
    byPair.set(pair, [...(byPair.get(pair) ?? []), index]);
  });
  const boxes = overlaps.map(({ region }) => boxOfPath(region));
  return overlaps.flatMap(({ strands: [a, b] }, first) =>
    overlaps.flatMap(({ strands: [same, c] }, second) => {
      if (same !== a || c <= b || !mayMeet(boxes[first], boxes[second])) return [];
      return (byPair.get(`${b}.${c}`) ?? []).flatMap((third): Round[] => {
        if (!mayMeet(boxes[first], boxes[third]) || !mayMeet(boxes[second], boxes[third])) return [];
        const regions = [first, second, third].map((index) => at(overlaps, index).region);
        // A over B, B over C, C over A.
        const isCommon = () => Math.abs(areaOfPath(combine(regions, "intersection"))) > unseenArea(gap);
        return [{ crossings: [first, second, third], over: [0, 1, 0], isCommon }];
      });
    }),
  );
}

/** The mean of places along an outline's segments. */
function meanAlong(region: Path): Point {
  return meanOf(region.flatMap((run) => segmentsOf(run).flatMap((cubic) => [0, 0.5].map((t) => pointAt(cubic, t)))));
}

/** Places on a ring's outline that are tried for the nearest. */
const STOPS = 720;

/** How far along a copy a point is: around it where it has a hole, along its longest way where it has none. */
function spineOf(path: Path): (point: Point) => number {
  const [longest] = [...path].sort((a, b) => Math.abs(areaOfPath([b])) - Math.abs(areaOfPath([a])));
  if (!longest) return () => 0;
  const measured = measurePath(longest);
  const stops = Array.from({ length: STOPS }, (_, k) => measured.at((k / STOPS) * measured.length).point);
  if (path.length > 1) {
    return (point) => {
      const away = stops.map((stop) => distance(stop, point));
      return away.indexOf(Math.min(...away));
    };
  }
  const middle = meanAlong([longest]);
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of stops) {
    xx += (x - middle.x) ** 2;
    xy += (x - middle.x) * (y - middle.y);
    yy += (y - middle.y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return ({ x, y }) => (x - middle.x) * Math.cos(angle) + (y - middle.y) * Math.sin(angle);
}

/** Whether going along a copy comes back to where it began. */
export function isRing(path: Path): boolean {
  return path.length > 1;
}

/** Each copy's area, what lies over it cut away. */
export function wovenBands(copies: readonly Path[], overlaps: readonly Overlap[], over: readonly (0 | 1)[]): Path[] {
  const cutters: Path[][] = copies.map(() => []);
  overlaps.forEach(({ strands, taken }, index) => {
    const lower = at(over, index) === 0 ? 1 : 0;
    cutters[strands[lower]]?.push(taken[lower]);
  });
  return copies.map((path, copy) => without(path, at(cutters, copy)));
}
