import { tidied } from "../geometry/boolean/boolean";
import { flattenPath } from "../geometry/flatten";
import { offsetPath } from "../geometry/offset/offset";
import { areaOfPath, segmentsOf, type Path } from "../geometry/path";
import { begunAt } from "../geometry/stretchOf";
import { measurePath } from "../geometry/pathLength";
import { distance, type Point } from "../geometry/point";
import { coursesOf, FINE } from "./course";
import { fillRuns } from "./fill/fill";
import type { Limits } from "./lines/definition";
import { LINE_STITCH_KINDS } from "./lines/list";
import { spendOnPoints } from "./pointEffort";
import type { FillStitch, LineStitch, UnderlayKind } from "./stitchFields";
import { INSIDE } from "./underlays/definition";
import { UNDERLAY_KINDS } from "./underlays/list";

/** An outline sewn: unbroken runs in order, and where thread may lie unseen on the way between them. Millimetres. */
export interface Sewn {
  /** Needle points of each run. */
  readonly runs: readonly (readonly Point[])[];
  /** Rows of points along which thread may go from one place to another. */
  readonly ways: readonly (readonly Point[])[];
  /** What is covered, as polygons; none where thread only follows a line. */
  readonly area: readonly (readonly Point[])[];
}

const NOTHING: Sewn = { runs: [], ways: [], area: [] };

/** The area that outlines enclose, crossed by none of them: as rows are sewn across it. The geometry engine must have been loaded. */
export function areaToSew(path: Path): Path {
  return tidied(path.filter(({ closed }) => closed));
}

/** An area sewn in rows from near a place: what lies below first. The geometry engine must have been loaded. Throws a TooMuchEffort. */
export function sewArea(whole: Path, start: Point, fill: FillStitch, underlay: UnderlayKind, limits: Limits): Sewn {
  const area = fill.inset > 0 ? offsetPath(whole, -fill.inset, "round") : whole;
  if (area.length === 0) return NOTHING;
  spendOnPoints(Math.abs(areaOfPath(area)) / (fill.spacing * fill.length));
  const polygons = flattenPath(area, FINE).map(opened);
  const { underArea } = UNDERLAY_KINDS[underlay];
  const below = underlay === "none" ? [] : underArea(offsetPath(area, -INSIDE, "round"), fill, limits, start);
  const runs = [...below, ...fillRuns(polygons, fill, limits, start)];
  return { runs, ways: polygons.map(closedAgain), area: polygons };
}

/** A line sewn along each run of an outline, from its start to its end. The geometry engine must have been loaded. */
export function sewLine(path: Path, line: LineStitch, underlay: UnderlayKind, limits: Limits): Sewn {
  const { sew, width, pointsTo } = LINE_STITCH_KINDS[line.kind];
  const wide = width(line);
  const courses = coursesOf(placed(path, line, wide));
  const { underBand } = UNDERLAY_KINDS[underlay];
  spendOnPoints(courses.reduce((sum, { along }) => sum + (along.at(-1) ?? 0), 0) * pointsTo(line, limits));
  const runs = courses.flatMap((course) => {
    const below = wide > 2 * INSIDE ? underBand(course, wide - 2 * INSIDE, limits) : [];
    return [...below, sew(course, line, limits)];
  });
  return { runs, ways: courses.map(({ points }) => points), area: [] };
}

/** The outlines a band runs along: those of the area, or half its width inside or outside them, begun where they begin. */
function placed(path: Path, { place }: LineStitch, width: number): Path {
  if (place === "center" || width === 0) return path;
  const closed = path.filter((run) => run.closed);
  const open = path.filter((run) => !run.closed);
  const start = startOf(path);
  const beside = offsetPath(closed, (place === "inside" ? -width : width) / 2, "miter");
  return [...beside.map((run) => (start ? begunNear(run, start) : run)), ...open];
}

function begunNear(run: Path[number], start: Point): Path[number] {
  const measured = measurePath(run);
  const steps = 200;
  let [best, least] = [0, Infinity];
  for (let k = 0; k < steps; k++) {
    const at = (measured.length * k) / steps;
    const away = distance(measured.at(at).point, start);
    if (away < least) [best, least] = [at, away];
  }
  return begunAt(run, best);
}

/** Where an outline begins; null where there is none. */
export function startOf(path: Path): Point | null {
  const [run] = path;
  return (run && segmentsOf(run)[0]?.[0]) ?? null;
}

/** A polygon without its first corner once more at its end. */
function opened(points: readonly Point[]): readonly Point[] {
  const [first, last] = [points[0], points.at(-1)];
  return first && last && points.length > 1 && distance(first, last) < 1e-9 ? points.slice(0, -1) : points;
}

function closedAgain(points: readonly Point[]): readonly Point[] {
  const [first] = points;
  return first ? [...points, first] : points;
}
