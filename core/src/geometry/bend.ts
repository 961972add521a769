import { atEvenPace, derivativeAt, isStraight, pieceOf, pointAt, type Cubic } from "./cubic";
import { spend } from "./effort";
import type { MeasuredLine } from "./line";
import { segmentsOf, subpathOf, type Path } from "./path";
import type { PlaceOnPath } from "./pathLength";
import type { Point } from "./point";

/** A bent segment stays this near to the true one, millimetres. */
const NEAR = 0.01;
/** What a piece takes that is bent. */
const SECONDS_A_PIECE = 45e-6;
/** Halvings at most; a corner of the line cannot be smoothed away. */
const DEEPEST = 8;

/**
 * Lays a path along a line: x becomes length along it from `start` on, and up (−y) becomes distance from it to the
 * left of travel. Segments are halved until each is true within a hundredth of a millimetre; neighbours keep a
 * common direction where they had one, since each end is bent by the line's own derivative there.
 */
export function bendPath(path: Path, line: MeasuredLine, start: number): Path {
  const placeAt = ({ x }: Point): PlaceOnPath => line.at(start + x);
  return path.map((subpath) => {
    const bent = segmentsOf(subpath).flatMap((segment) => {
      const [from, , , to] = segment;
      return bendSegment(isStraight(segment) ? atEvenPace(segment) : segment, placeAt(from), placeAt(to), placeAt, 0);
    });
    return subpathOf(bent, subpath.closed);
  });
}

/** `from` and `to` are the places of the segment's ends on the line, asked for once. */
function bendSegment(
  segment: Cubic,
  from: PlaceOnPath,
  to: PlaceOnPath,
  placeAt: (point: Point) => PlaceOnPath,
  depth: number,
): Cubic[] {
  spend(SECONDS_A_PIECE);
  const bent = hermite(segment, from, to);
  const middle = pointAt(segment, 0.5);
  const between = placeAt(middle);
  const isTrue = (t: number, place: PlaceOnPath, point: Point) => isNear(pointAt(bent, t), bentPoint(point, place));
  const quarterIsTrue = (t: number) => {
    const point = pointAt(segment, t);
    return isTrue(t, placeAt(point), point);
  };
  if (depth >= DEEPEST || (isTrue(0.5, between, middle) && quarterIsTrue(0.25) && quarterIsTrue(0.75))) return [bent];
  return [
    ...bendSegment(pieceOf(segment, 0, 0.5), from, between, placeAt, depth + 1),
    ...bendSegment(pieceOf(segment, 0.5, 1), between, to, placeAt, depth + 1),
  ];
}

function bentPoint({ y }: Point, { point, tangent }: PlaceOnPath): Point {
  return { x: point.x - tangent.y * y, y: point.y + tangent.x * y };
}

/** A direction carried along by the map's derivative: T·(1 − y·κ) along the line, the normal across it. */
function bentWay({ y }: Point, way: Point, { tangent, curvature }: PlaceOnPath): Point {
  const along = way.x * (1 - y * curvature);
  return { x: tangent.x * along - tangent.y * way.y, y: tangent.y * along + tangent.x * way.y };
}

/** The cubic through the bent ends with the bent derivatives there. */
function hermite(segment: Cubic, atStart: PlaceOnPath, atEnd: PlaceOnPath): Cubic {
  const [start, , , end] = segment;
  const [from, to] = [bentPoint(start, atStart), bentPoint(end, atEnd)];
  const leave = bentWay(start, derivativeAt(segment, 0), atStart);
  const arrive = bentWay(end, derivativeAt(segment, 1), atEnd);
  return [
    from,
    { x: from.x + leave.x / 3, y: from.y + leave.y / 3 },
    { x: to.x - arrive.x / 3, y: to.y - arrive.y / 3 },
    to,
  ];
}

function isNear(a: Point, b: Point): boolean {
  return Math.hypot(a.x - b.x, a.y - b.y) <= NEAR;
}
