import { curvatureAt, isStraight, pieceOf, pointAt, straight, tangentAt, type Cubic } from "../cubic";
import { nearestParameter } from "../boolean/meet";
import { closestHandles } from "../closestHandles";
import { distance, type Point } from "../point";

/** Halving a curve more often than this finds nothing new. */
const DEEPEST = 8;
/** Where it is looked how true a curve is: most is lost near ends, where curves bend tightest. */
const PLACES = [0.03, 0.12, 0.25, 0.5, 0.75, 0.88, 0.97];

/**
 * Curves at a distance to the left of travel on the sheet's axes (x right, y down: outside of what runs clockwise), none
 * further than `within` from where they should be. A parallel curve's derivative is the curve's own times 1 + d·κ, so ends
 * and handles are exact; a circle's arc stays one.
 */
export function besideCubic(cubic: Cubic, by: number, within: number, depth = 0): Cubic[] {
  if (isStraight(cubic)) {
    const { x, y } = outwards(cubic, 0);
    const moved = (point: Point) => ({ x: point.x + x * by, y: point.y + y * by });
    return [straight(moved(cubic[0]), moved(cubic[3]))];
  }
  const beside = parallel(cubic, by);
  if (isTrue(beside, cubic, by, within)) return [beside];
  // Ends and the ways they run are exact; in between handles of other lengths may come closer.
  const closer = closestHandles(
    beside,
    PLACES.map((t) => ({ point: pointBeside(cubic, t, by), t })),
  );
  if (depth === DEEPEST || isTrue(closer, cubic, by, within)) return [closer];
  return [pieceOf(cubic, 0, 0.5), pieceOf(cubic, 0.5, 1)].flatMap((half) => besideCubic(half, by, within, depth + 1));
}

/** Whether a curve passes the places beside another. */
function isTrue(beside: Cubic, cubic: Cubic, by: number, within: number): boolean {
  for (const t of PLACES) {
    const point = pointBeside(cubic, t, by);
    if (distance(point, pointAt(beside, t)) <= within) continue;
    if (distance(point, pointAt(beside, nearestParameter(beside, point, t))) > within) return false;
  }
  return true;
}

/** The way out of what runs clockwise on the sheet, at a parameter; of length 1. */
export function outwards(cubic: Cubic, t: number): Point {
  const { x, y } = tangentAt(cubic, t);
  return { x: y, y: -x };
}

function pointBeside(cubic: Cubic, t: number, by: number): Point {
  const [{ x, y }, out] = [pointAt(cubic, t), outwards(cubic, t)];
  return { x: x + out.x * by, y: y + out.y * by };
}

function parallel(cubic: Cubic, by: number): Cubic {
  const [p0, p1, p2, p3] = cubic;
  const [start, end] = [pointBeside(cubic, 0, by), pointBeside(cubic, 1, by)];
  const [first, last] = [1 + by * curvatureAt(cubic, 0), 1 + by * curvatureAt(cubic, 1)];
  return [
    start,
    { x: start.x + (p1.x - p0.x) * first, y: start.y + (p1.y - p0.y) * first },
    { x: end.x + (p2.x - p3.x) * last, y: end.y + (p2.y - p3.y) * last },
    end,
  ];
}
