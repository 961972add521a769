import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { isEmpty, meets, type Box } from "../../geometry/box";
import { offsetPath } from "../../geometry/offset/offset";
import { areaOfPath, boxOfPath, segmentsOf, type Path, type Subpath } from "../../geometry/path";
import { measurePath } from "../../geometry/pathLength";
import { distance, meanOf, type Point } from "../../geometry/point";
import { pointAt } from "../../geometry/cubic";
import type { Passing } from "./alternate";

/** A place where two filled copies lie over each other. */
interface Overlap extends Passing {
  readonly point: Point;
  readonly region: Path;
}

/** Every connected region two copies have in common. */
export function overlapsOf(copies: readonly Path[]): Overlap[] {
  const boxes = copies.map((path) => boxOfPath(path));
  const alongs = copies.map(spineOf);
  const found: Overlap[] = [];
  for (let a = 0; a < copies.length; a++) {
    for (let b = a + 1; b < copies.length; b++) {
      if (!mayMeet(boxes[a], boxes[b])) continue;
      const regions = regionsOf(combine([at(copies, a), at(copies, b)], "intersection"));
      for (const region of regions) {
        const point = meanAlong(region);
        const along = [at(alongs, a)(point), at(alongs, b)(point)] as const;
        found.push({ strands: [a, b], along, point, region });
      }
    }
  }
  return found;
}

function mayMeet(a: Box | undefined, b: Box | undefined): boolean {
  return a !== undefined && b !== undefined && !isEmpty(a) && !isEmpty(b) && meets(a, b);
}

/** Overlaps smaller than this only touch, square millimetres. */
const LEAST_AREA = 0.01;

function regionsOf(path: Path): Path[] {
  return path.filter((run) => Math.abs(areaOfPath([run])) > LEAST_AREA && !isHole(run, path)).map((run) => [run]);
}

function isHole(run: Subpath, path: Path): boolean {
  const most = path.reduce((greatest, other) => {
    const area = areaOfPath([other]);
    return Math.abs(area) > Math.abs(greatest) ? area : greatest;
  }, 0);
  return Math.sign(areaOfPath([run])) !== Math.sign(most);
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

/** Each copy's area, what lies over it cut away with a gap (millimetres) around. */
export function wovenBands(
  copies: readonly Path[],
  overlaps: readonly Overlap[],
  over: readonly (0 | 1)[],
  gap: number,
): Path[] {
  const cutters: Path[][] = copies.map(() => []);
  const grown = new Map<number, Path>();
  overlaps.forEach(({ strands, region }, index) => {
    const upper = strands[at(over, index)];
    const lower = strands[at(over, index) === 1 ? 0 : 1];
    if (gap === 0) return void cutters[lower]?.push(region);
    const wide = grown.get(upper) ?? offsetPath(copies[upper] ?? [], gap, "miter");
    grown.set(upper, wide);
    cutters[lower]?.push(combine([wide, offsetPath(region, 3 * gap, "round")], "intersection"));
  });
  return copies.map((path, copy) => {
    const cuts = cutters[copy] ?? [];
    return cuts.length > 0 ? combine([path, ...cuts], "difference") : path;
  });
}
