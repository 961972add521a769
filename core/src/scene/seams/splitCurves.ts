import { at } from "../../geometry/at";
import { nearestParameter } from "../../geometry/boolean/meet";
import { spend } from "../../geometry/effort";
import { growBox, type Box } from "../../geometry/box";
import { extentOf, pieceOf, pointAt, type Cubic } from "../../geometry/cubic";
import { distance, type Point } from "../../geometry/point";
import { SquareLists } from "../../geometry/squareLists";
import { NO_CORNER, type Edge } from "./edges";

/** Points as near as this to a curve lie on it, millimetres. */
const ON = 0.002;
/** Places along a curve from which the nearest is looked for. */
const STARTS = [0.1, 0.3, 0.5, 0.7, 0.9];

/** Curves cut where sides of other areas begin or end on them, so that what they share with those is whole curves. */
export function splitCurves(curves: readonly Edge[], all: readonly Edge[]): Edge[] {
  const ends = new Ends(all);
  return curves.flatMap((edge) => {
    const box = growBox(boxOf(edge.cubic), ON);
    const cuts = ends.within(box).flatMap((point) => parameterOf(edge.cubic, point) ?? []);
    const sorted = [0, ...cuts.sort((a, b) => a - b), 1];
    const places = sorted.filter((t, k) => k === 0 || t - (sorted[k - 1] ?? 0) > 1e-6);
    return places.slice(1).map((till, k): Edge => {
      const from = places[k] ?? 0;
      const cubic = from === 0 && till === 1 ? edge.cubic : pieceOf(edge.cubic, from, till);
      return {
        ...edge,
        cubic,
        corners: [from === 0 ? edge.corners[0] : NO_CORNER, till === 1 ? edge.corners[1] : NO_CORNER],
      };
    });
  });
}

function boxOf([a, b, c, d]: Cubic): Box {
  const [left, right] = extentOf(a.x, b.x, c.x, d.x);
  const [top, bottom] = extentOf(a.y, b.y, c.y, d.y);
  return { left, top, right, bottom };
}

/** The ends of sides, sorted into squares about as large as a side. */
class Ends {
  private readonly points: readonly Point[];
  private readonly squares = new SquareLists();
  private readonly side: number;

  constructor(edges: readonly Edge[]) {
    this.points = edges.flatMap(({ cubic }) => [cubic[0], cubic[3]]);
    const length = edges.reduce((sum, { cubic }) => sum + distance(cubic[0], cubic[3]), 0);
    this.side = Math.max(1e-3, length / Math.max(1, edges.length));
    this.points.forEach(({ x, y }, index) => this.squares.add(this.squareOf(x), this.squareOf(y), index));
  }

  within({ left, top, right, bottom }: Box): Point[] {
    const found: Point[] = [];
    for (let column = this.squareOf(left); column <= this.squareOf(right); column++) {
      for (let row = this.squareOf(top); row <= this.squareOf(bottom); row++) {
        this.squares.some(column, row, (index) => {
          const point = at(this.points, index);
          const isIn = point.x >= left && point.x <= right && point.y >= top && point.y <= bottom;
          if (isIn) found.push(point);
          return false;
        });
      }
    }
    return found;
  }

  private squareOf(place: number): number {
    return Math.floor(place / this.side);
  }
}

/** What it takes to look for a point on a curve. */
const SECONDS_A_PLACE = 4e-6;

/** Where a point lies on a curve, its ends aside; null where it lies beside it. */
function parameterOf(cubic: Cubic, point: Point): number | null {
  if (distance(point, cubic[0]) < ON || distance(point, cubic[3]) < ON) return null;
  spend(SECONDS_A_PLACE);
  const nearest = STARTS.reduce((best, t) =>
    distance(pointAt(cubic, t), point) < distance(pointAt(cubic, best), point) ? t : best,
  );
  const t = nearestParameter(cubic, point, nearest);
  return t > 0 && t < 1 && distance(pointAt(cubic, t), point) < ON ? t : null;
}
