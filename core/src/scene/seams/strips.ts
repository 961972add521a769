import { at } from "../../geometry/at";
import { circleSegments } from "../../geometry/arc";
import {
  areaOfPath,
  polygonOf,
  reversePath,
  subpathOf,
  transformPath,
  type Path,
  type Subpath,
} from "../../geometry/path";
import { translation } from "../../geometry/matrix";
import { distance, type Point } from "../../geometry/point";
import { SquareLists } from "../../geometry/squareLists";
import type { Seam, SeamSide } from "./touching";

/** What is round a place where seams end comes to this where areas lie all around it, radians; each counts twice. */
const ALL_AROUND = 4 * Math.PI - 0.02;
/** Corners wider than this take nothing of what lies beside, radians. */
const SQUARE = Math.PI / 2 - 0.01;
/** Ends of seams nearer than this are one place, millimetres. */
const ONE_PLACE = 0.01;

/** Something laid below a seam, and the area whose colour it has. */
export interface Strip {
  /** Runs clockwise on the sheet. */
  readonly run: Subpath;
  /** Number of the area. */
  readonly area: number;
  /** Number of the lower of the areas that meet there. */
  readonly below: number;
}

/** Strips along seams so wide to either side that lie wholly below the two areas, and dots where areas lie all around. */
export function stripsOf(seams: readonly Seam[], wide: number): Strip[] {
  const strips = seams.map((seam): Strip => {
    const [right, left] = seam.sides;
    return {
      run: clockwise(stripAlong(seam, wide)),
      area: Math.max(right.area, left.area),
      below: Math.min(right.area, left.area),
    };
  });
  return [...strips, ...dotsOf(seams, wide)];
}

function stripAlong({ points, sides: [right, left] }: Seam, wide: number): Subpath {
  const there = besides(points, right, wide, 1);
  const back = besides(points, left, wide, -1);
  const [first, last] = [points[0], points.at(-1)];
  return polygonOf([...(first ? [first] : []), ...there, ...(last ? [last] : []), ...back.toReversed()]);
}

/** Points beside a seam: as far as told, but within the corners at its ends. */
function besides(points: readonly Point[], { corners, room }: SeamSide, wide: number, hand: 1 | -1): Point[] {
  const steps = points.slice(1).map((point, k) => distance(points[k] ?? point, point));
  const length = steps.reduce((sum, step) => sum + step, 0);
  const most = Math.min(wide, room);
  const [rise, fall] = [slopeOf(corners[0].opening), slopeOf(corners[1].opening)];
  const farAt = (s: number) =>
    Math.min(most, rise === null ? most : s * rise, fall === null ? most : (length - s) * fall);
  return placesAlong(steps, length, most, rise, fall).map((s) => beside(points, steps, s, farAt(s) * hand));
}

/** What a corner leaves free for each millimetre away from it; null where it leaves all. */
const slopeOf = (angle: number) => (angle < SQUARE ? Math.tan(angle) : null);

/** Where along a seam its strip changes: at its own points, and where it is as wide as it becomes. */
function placesAlong(
  steps: readonly number[],
  length: number,
  most: number,
  rise: number | null,
  fall: number | null,
): number[] {
  const own = steps.reduce<number[]>((all, step) => [...all, (all.at(-1) ?? 0) + step], [0]);
  const up = rise === null ? [] : [most / rise];
  const down = fall === null ? [] : [length - most / fall];
  const met = rise !== null && fall !== null ? [(length * fall) / (rise + fall)] : [];
  const turns = [...up, ...down, ...met].filter((s) => s > 0 && s < length);
  return [...new Set([...own, ...turns])].sort((a, b) => a - b);
}

function beside(points: readonly Point[], steps: readonly number[], s: number, far: number): Point {
  let [k, before] = [0, 0];
  while (k + 1 < steps.length && before + (steps[k] ?? 0) < s) before += steps[k++] ?? 0;
  const [a, b] = [points[k], points[k + 1]];
  if (!a || !b) return points[0] ?? { x: 0, y: 0 };
  const step = steps[k] ?? 1;
  const [ux, uy] = [(b.x - a.x) / step, (b.y - a.y) / step];
  return { x: a.x + ux * (s - before) - uy * far, y: a.y + uy * (s - before) + ux * far };
}

/** A place where seams end, and what meets there. */
interface SeamEnd {
  readonly place: Point;
  /** The angles of all corners, radians; each counts once for each seam beside it. */
  around: number;
  area: number;
  below: number;
  room: number;
}

/** Dots where seams end and areas lie all around: there strips alone leave a little free. */
function dotsOf(seams: readonly Seam[], wide: number): Strip[] {
  const ends: SeamEnd[] = [];
  const squares = new SquareLists();
  const squareOf = (place: number) => Math.round(place / ONE_PLACE);
  const endAt = (place: Point): SeamEnd => {
    for (const dx of [0, -1, 1]) {
      for (const dy of [0, -1, 1]) {
        const entry = squares.first(squareOf(place.x) + dx, squareOf(place.y) + dy);
        if (entry >= 0) return at(ends, squares.valueOf(entry));
      }
    }
    const end = { place, around: 0, area: -1, below: Infinity, room: Infinity };
    squares.add(squareOf(place.x), squareOf(place.y), ends.push(end) - 1);
    return end;
  };
  for (const { points, sides } of seams) {
    [points[0], points.at(-1)].forEach((place, which) => {
      if (!place) return;
      const end = endAt(place);
      for (const side of sides) {
        end.around += side.corners[which === 0 ? 0 : 1].angle;
        end.area = Math.max(end.area, side.area);
        end.below = Math.min(end.below, side.area);
        end.room = Math.min(end.room, side.room);
      }
    });
  }
  return ends
    .filter(({ around }) => around >= ALL_AROUND)
    .map(({ place, area, below, room }): Strip => {
      const [run] = transformPath(
        [subpathOf(circleSegments(Math.min(wide, 2 * room)), true)],
        translation(place.x, place.y),
      );
      return { run: clockwise(run ?? polygonOf([])), area, below };
    });
}

/** All run the same way, or two that lie over each other would undo each other. */
function clockwise(run: Subpath): Subpath {
  const path: Path = [run];
  return areaOfPath(path) < 0 ? (reversePath(path)[0] ?? run) : run;
}
