import { boxOfPoints, growBox, joinBoxes, meets, EMPTY_BOX, type Box } from "../geometry/box";
import { flattenPath } from "../geometry/flatten";
import { straight } from "../geometry/cubic";
import { boxOfPath, subpathOf, type Path, type Subpath } from "../geometry/path";
import { distance, type Point } from "../geometry/point";

/** A place where a line ends a little before another, so that no face is closed there. */
export interface Opening {
  /** Where the line ends. */
  readonly from: Point;
  /** The nearest place of another line, or of the same one farther on. */
  readonly to: Point;
  /** How far the two are apart, millimetres. */
  readonly width: number;
}

/** Lines are looked at by chords true to this, millimetres. */
const FINE = 0.005;
/** Ends nearer than this to a line are on it, millimetres. */
const TOUCHING = 0.004;
/** Two places as near as this to each other's distance are both nearest. */
const ALIKE = 1.001;
/** A gap wider than this share of the whole is meant. */
const MEANT = 1 / 25;
/** Of its own line an end looks only at what is so many times as far along as across: the rest is the line itself. */
const FARTHER_ALONG = 3;
/** What closes an opening goes on so far beyond, so that it surely crosses; millimetres. */
const BEYOND = 0.01;

interface Line {
  readonly points: readonly Point[];
  readonly box: Box;
}

interface End {
  readonly point: Point;
  readonly line: Line;
  /** Which end of its line it is. */
  readonly isLast: boolean;
}

/** Openings too small to be meant, the widest last. */
export function openingsOf(outlines: readonly Path[]): Opening[] {
  if (outlines.every((path) => path.every(({ closed }) => closed))) return [];
  const whole = outlines.map((path) => boxOfPath(path)).reduce(joinBoxes, EMPTY_BOX);
  const most = Math.max(whole.right - whole.left, whole.bottom - whole.top) * MEANT;
  const runs = outlines.flat();
  const lines = runs.map(lineOf);
  const ends = runs.flatMap((run, k) => (run.closed ? [] : endsOf(lines[k])));
  return ends.flatMap((end) => openingsAt(end, lines, ends, most)).sort((a, b) => a.width - b.width);
}

/** What closes openings up to a width, by the outline whose line ends there: straight pieces to be laid beside it. */
export function closing({ from, to, width }: Opening): Subpath {
  const share = (width + BEYOND) / width;
  const end = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
  return subpathOf([straight(from, end)], false);
}

function lineOf(run: Subpath): Line {
  const [points = []] = flattenPath([run], FINE);
  return { points, box: boxOfPoints(points) };
}

function endsOf(line: Line | undefined): End[] {
  const [first, last] = [line?.points[0], line?.points.at(-1)];
  if (!line || !first || !last || distance(first, last) < TOUCHING) return [];
  return [
    { point: first, line, isLast: false },
    { point: last, line, isLast: true },
  ];
}

function openingsAt(end: End, lines: readonly Line[], ends: readonly End[], most: number): Opening[] {
  const { point } = end;
  const around = growBox({ left: point.x, top: point.y, right: point.x, bottom: point.y }, most);
  let nearest: Opening | null = null;
  for (const line of lines) {
    if (!meets(line.box, around)) continue;
    const to = nearestOn(line, end, nearest?.width ?? most);
    if (to && to.width <= TOUCHING) return [];
    nearest = to ?? nearest;
  }
  if (!nearest) return [];
  const { width } = nearest;
  // Lines that end around an eye all are as near to two others.
  const others = ends.filter(
    (other) =>
      other.line !== end.line &&
      distance(other.point, point) <= width * ALIKE &&
      distance(other.point, nearest.to) > TOUCHING,
  );
  return [nearest, ...others.map((other) => ({ from: point, to: other.point, width: distance(other.point, point) }))];
}

/** The place of a line nearest to an end, where it is nearer than told. */
function nearestOn({ points }: Line, { point, line, isLast }: End, within: number): Opening | null {
  const isOwn = points === line.points;
  const walk = isOwn && isLast ? points.toReversed() : points;
  let [along, nearest]: [number, Opening | null] = [0, null];
  for (let k = 0; k + 1 < walk.length; k++) {
    const [a, b] = [walk[k] ?? point, walk[k + 1] ?? point];
    const to = nearestOnChord(point, a, b);
    const width = distance(point, to);
    const isItself = isOwn && along + distance(a, to) < width * FARTHER_ALONG + TOUCHING;
    if (width < (nearest?.width ?? within) && !isItself) nearest = { from: point, to, width };
    along += distance(a, b);
  }
  return nearest;
}

function nearestOnChord({ x, y }: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const t = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / length));
  return { x: a.x + dx * t, y: a.y + dy * t };
}
