import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { isEmpty, meets, type Box } from "../../geometry/box";
import { componentsOf } from "../../geometry/components";
import { pointAt } from "../../geometry/cubic";
import { offsetPath } from "../../geometry/offset/offset";
import { areaOfPath, boxOfPath, segmentsOf, type Path } from "../../geometry/path";
import { measurePath } from "../../geometry/pathLength";
import { distance, meanOf, type Point } from "../../geometry/point";
import { unseenArea } from "./rounds";
import type { Round } from "./settle";
import type { Woven } from "./weave";

/** A place where two filled copies lie over each other. */
interface Overlap extends Woven {
  /** What they have in common there: one area, or several that the gap makes one. */
  readonly region: Path;
  /** What is taken from the first copy where the second lies over it, and the other way round. */
  readonly taken: readonly [Path, Path];
}

/** Every connected place two copies have in common, with a gap (millimetres) around what lies over. */
export function overlapsOf(copies: readonly Path[], gap: number): Overlap[] {
  const boxes = copies.map((path) => boxOfPath(path));
  const alongs = copies.map(spineOf);
  const wide = new Map<number, Path>();
  const widened = (copy: number) => {
    const own = wide.get(copy) ?? offsetPath(at(copies, copy), gap, "round");
    wide.set(copy, own);
    return own;
  };
  const found: Overlap[] = [];
  for (let a = 0; a < copies.length; a++) {
    for (let b = a + 1; b < copies.length; b++) {
      if (!mayMeet(boxes[a], boxes[b])) continue;
      const [one, two] = [at(copies, a), at(copies, b)];
      const regions = regionsOf(combine([one, two], "intersection"));
      if (regions.length === 0) continue;
      const takes = [
        gap === 0 ? regions : componentsOf(combine([widened(b), one], "intersection")),
        gap === 0 ? regions : componentsOf(combine([widened(a), two], "intersection")),
      ] as const;
      for (const { region, taken } of gathered(regions, takes)) {
        const point = meanAlong(region);
        const along = [at(alongs, a)(point), at(alongs, b)(point)] as const;
        found.push({ strands: [a, b], along, point, changesSides: true, region, taken });
      }
    }
  }
  return found;
}

type Taken = Pick<Overlap, "region" | "taken">;

/** Regions with what is taken around them; those around which one and the same piece is taken are one. */
function gathered(regions: readonly Path[], [fromOne, fromTwo]: readonly [readonly Path[], readonly Path[]]): Taken[] {
  const groups = regions.map((region) => ({
    regions: [region],
    pieces: [around(region, fromOne), around(region, fromTwo)] as const,
  }));
  for (let k = groups.length - 1; k > 0; k--) {
    const own = at(groups, k);
    const earlier = groups
      .slice(0, k)
      .find(({ pieces }) => [0, 1].some((side) => share(pieces[side], own.pieces[side])));
    if (!earlier) continue;
    earlier.regions.push(...own.regions);
    for (const side of [0, 1] as const) for (const piece of own.pieces[side]) earlier.pieces[side].add(piece);
    groups.splice(k, 1);
  }
  return groups.map(({ regions: own, pieces: [one, two] }) => ({
    region: own.flat(),
    taken: [[...one].flat(), [...two].flat()],
  }));
}

/** The pieces that have to do with a region. */
function around(region: Path, pieces: readonly Path[]): Set<Path> {
  if (pieces.length < 2) return new Set(pieces);
  return new Set(
    pieces.filter(
      (piece) =>
        piece === region ||
        (mayMeet(boxOfPath(piece), boxOfPath(region)) && combine([piece, region], "intersection").length > 0),
    ),
  );
}

function share(a: ReadonlySet<Path> | undefined, b: ReadonlySet<Path> | undefined): boolean {
  return a !== undefined && b !== undefined && [...a].some((piece) => b.has(piece));
}

function mayMeet(a: Box | undefined, b: Box | undefined): boolean {
  return a !== undefined && b !== undefined && !isEmpty(a) && !isEmpty(b) && meets(a, b);
}

/** Overlaps smaller than this only touch, square millimetres. */
const LEAST_AREA = 1e-4;

function regionsOf(path: Path): Path[] {
  return componentsOf(path).filter((region) => Math.abs(areaOfPath(region)) > LEAST_AREA);
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
  return copies.map((path, copy) => {
    const cuts = cutters[copy] ?? [];
    return cuts.length > 0 ? combine([path, ...cuts], "difference") : path;
  });
}
