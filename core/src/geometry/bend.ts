import { atEvenPace, derivativeAt, isStraight, pieceOf, pointAt, type Cubic } from "./cubic";
import type { MeasuredLine } from "./line";
import { segmentsOf, subpathOf, type Path } from "./path";
import type { Point } from "./point";

/** A bent segment stays this near to the true one, millimetres. */
const NEAR = 0.005;
/** Halvings at most; a corner of the line cannot be smoothed away. */
const DEEPEST = 8;

/**
 * Lays a path along a line: x becomes length along it from `start` on, and up (−y) becomes distance from it to the
 * left of travel. Segments are halved until each is true within a hundredth of a millimetre; neighbours keep a
 * common direction where they had one, since each end is bent by the line's own derivative there.
 */
export function bendPath(path: Path, line: MeasuredLine, start: number): Path {
  const map = (point: Point): Point => {
    const { point: foot, tangent } = line.at(start + point.x);
    return { x: foot.x - tangent.y * point.y, y: foot.y + tangent.x * point.y };
  };
  /** The derivative of the map: T·(1 − y·κ) along the line, the normal across it. */
  const turned = (point: Point, way: Point): Point => {
    const { tangent, curvature } = line.at(start + point.x);
    const along = way.x * (1 - point.y * curvature);
    return { x: tangent.x * along - tangent.y * way.y, y: tangent.y * along + tangent.x * way.y };
  };
  return path.map((subpath) => {
    const bent = segmentsOf(subpath).flatMap((segment) =>
      bendSegment(isStraight(segment) ? atEvenPace(segment) : segment, map, turned, 0),
    );
    return subpathOf(bent, subpath.closed);
  });
}

type Map = (point: Point) => Point;
type Turned = (point: Point, way: Point) => Point;

function bendSegment(segment: Cubic, map: Map, turned: Turned, depth: number): Cubic[] {
  const bent = hermite(segment, map, turned);
  if (depth >= DEEPEST || isNear(segment, bent, map)) return [bent];
  return [
    ...bendSegment(pieceOf(segment, 0, 0.5), map, turned, depth + 1),
    ...bendSegment(pieceOf(segment, 0.5, 1), map, turned, depth + 1),
  ];
}

/** The cubic through the bent ends with the bent derivatives there. */
function hermite(segment: Cubic, map: Map, turned: Turned): Cubic {
  const [start, , , end] = segment;
  const [from, to] = [map(start), map(end)];
  const leave = turned(start, derivativeAt(segment, 0));
  const arrive = turned(end, derivativeAt(segment, 1));
  return [
    from,
    { x: from.x + leave.x / 3, y: from.y + leave.y / 3 },
    { x: to.x - arrive.x / 3, y: to.y - arrive.y / 3 },
    to,
  ];
}

function isNear(segment: Cubic, bent: Cubic, map: Map): boolean {
  return [0.25, 0.5, 0.75].every((t) => {
    const wanted = map(pointAt(segment, t));
    const found = pointAt(bent, t);
    return Math.hypot(wanted.x - found.x, wanted.y - found.y) <= NEAR;
  });
}
