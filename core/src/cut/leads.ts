import Flatbush from "flatbush";
import { toDegrees } from "../geometry/angle";
import { arcSegments } from "../geometry/arc";
import { at } from "../geometry/at";
import { boxOfPoints } from "../geometry/box";
import { pointAt, tangentAt, type Cubic } from "../geometry/cubic";
import { flattenPath } from "../geometry/flatten";
import { segmentsOf, type Path } from "../geometry/path";
import type { Point } from "../geometry/point";
import { isInside } from "../geometry/pointInLoop";
import type { Entering, Side } from "./strokes";

/** An outline as the middle of the cut goes round it, and how many others lie around it. */
interface Edge {
  readonly kerfed: Path;
  readonly level: number;
}

/** Shares of a lead-in that are tried one after the other until one lies in waste. */
const SHARES = [1, 1 / 2, 1 / 4, 1 / 8];
/** Places looked at along a lead-in lie so near to each other, millimetres. */
const APART = 0.02;
/** The last stretch of a lead-in runs along the edge it ends on: this share of it is not looked at. */
const AT_EDGE = 0.05;
/** Outlines are chords within this, millimetres. */
const TOLERANCE = 0.002;

/** Finds ways into cuts from waste, where nothing that is kept is cut: as long as is asked, else shorter, else none. */
export class Leads {
  /** Where cuts are entered by less than was asked. */
  readonly shorter: Point[] = [];
  /** Where cuts are entered on the edge itself. */
  readonly none: Point[] = [];
  private readonly waste: Waste | null;

  /** `length` in millimetres; 0 for none at all. */
  constructor(
    edges: readonly Edge[],
    private readonly length: number,
  ) {
    this.waste = length > 0 ? new Waste(edges) : null;
  }

  /** The way into a run. */
  readonly into: Entering = (run, side) => {
    const { waste } = this;
    const [first] = segmentsOf(run);
    if (!waste || !first) return [];
    const share = SHARES.find((one) => waste.holds(leadArc(first, side, one * this.length), one * this.length));
    if (share === undefined) this.none.push(first[0]);
    else if (share < 1) this.shorter.push(first[0]);
    return share === undefined ? [] : leadArc(first, side, share * this.length);
  };
}

/** What of a sheet is waste: what no piece covers, and holes; where pieces cross, either is kept. */
class Waste {
  private readonly loops: readonly { readonly points: readonly Point[]; readonly level: number }[];
  private readonly index: Flatbush | null;

  constructor(edges: readonly Edge[]) {
    this.loops = edges.flatMap(({ kerfed, level }) =>
      flattenPath(kerfed, TOLERANCE).map((points) => ({ points, level })),
    );
    this.index = this.loops.length > 0 ? new Flatbush(this.loops.length) : null;
    for (const { points } of this.loops) {
      const { left, top, right, bottom } = boxOfPoints(points);
      this.index?.add(left, top, right, bottom);
    }
    this.index?.finish();
  }

  /** Whether a way of a length lies in waste, but for its end. */
  holds(way: readonly Cubic[], length: number): boolean {
    const count = Math.max(8, Math.ceil(length / APART));
    return Array.from({ length: count }, (_, k) => (k / count) * (1 - AT_EDGE) * way.length).every((along) => {
      const segment = Math.min(way.length - 1, Math.floor(along));
      return this.isAt(pointAt(at(way, segment), along - segment));
    });
  }

  private isAt(point: Point): boolean {
    const around = (this.index?.search(point.x, point.y, point.x, point.y) ?? []).flatMap((index) => {
      const { points, level } = at(this.loops, index);
      return isInside(point, points) ? [level] : [];
    });
    return Math.max(-1, ...around) % 2 !== 0;
  }
}

/** A quarter circle of a length that comes from a side and meets a run in the direction of its first segment. */
function leadArc(first: Cubic, side: Side, length: number): Cubic[] {
  const radius = length / (Math.PI / 2);
  const { x, y } = tangentAt(first, 0);
  const centre = { x: first[0].x + y * radius * side, y: first[0].y - x * radius * side };
  const end = toDegrees(Math.atan2(first[0].x - centre.x, centre.y - first[0].y));
  const arc = arcSegments(radius, end + 90 * side, end, centre);
  return arc.map(([a, b, c, d], index): Cubic => [a, b, c, index === arc.length - 1 ? first[0] : d]);
}
