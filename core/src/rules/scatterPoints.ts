import { at } from "../geometry/at";
import type { Box } from "../geometry/box";
import { spend } from "../geometry/effort";
import type { Point } from "../geometry/point";
import { SquareLists } from "../geometry/squareLists";

/** Darts thrown for each point wanted, before growing from the points there are. */
const DARTS = 6;
/** Tries around a point before it is given up (Bridson 2007). */
const TRIES = 30;
/** What a try takes. */
const SECONDS_A_TRY = 0.5e-6;

interface Scattering {
  readonly box: Box;
  readonly gap: number;
  readonly count: number;
  random: () => number;
  /** Whether a point may stand there at all. */
  allows: (point: Point) => boolean;
}

/**
 * Points at least a gap apart: darts thrown anywhere first, so that a few points spread over the whole; then, where
 * there is not room enough for chance alone, points around those there are (R. Bridson, Fast Poisson disk
 * sampling, 2007). Fewer than wanted where no more fit.
 */
export function scatterPoints({ box, gap, count, random, allows }: Scattering): Point[] {
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  if (!(width > 0) || !(height > 0)) return [];
  const points: Point[] = [];
  const cells = cellsOver(box, gap);
  const take = (point: Point): boolean => {
    spend(SECONDS_A_TRY);
    if (!cells.isFree(point) || !allows(point)) return false;
    cells.put(point);
    points.push(point);
    return true;
  };
  for (let dart = 0; dart < count * DARTS && points.length < count; dart++) {
    take({ x: box.left + random() * width, y: box.top + random() * height });
  }
  if (gap > 0) grow(points, count, gap, box, random, take);
  return points;
}

function grow(
  points: Point[],
  count: number,
  gap: number,
  box: Box,
  random: () => number,
  take: (point: Point) => boolean,
): void {
  const active = points.map((_, index) => index);
  while (active.length > 0 && points.length < count) {
    const chosen = Math.floor(random() * active.length);
    const from = points[active[chosen] ?? 0];
    if (!from || !growOne(from, gap, box, random, take)) {
      active[chosen] = active[active.length - 1] ?? 0;
      active.pop();
    } else active.push(points.length - 1);
  }
}

function growOne(from: Point, gap: number, box: Box, random: () => number, take: (point: Point) => boolean): boolean {
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const angle = random() * 2 * Math.PI;
    const reach = gap * (1 + random());
    const point = { x: from.x + reach * Math.cos(angle), y: from.y + reach * Math.sin(angle) };
    const inside = point.x >= box.left && point.x <= box.right && point.y >= box.top && point.y <= box.bottom;
    if (inside && take(point)) return true;
  }
  return false;
}

/** Cells at most this many; a tiny gap on a wide box would ask for more than there is room for. */
const MOST_CELLS = 4_000_000;

/** Square cells small enough that each holds one point at most, or few where there would be too many cells. */
function cellsOver({ left, top, right, bottom }: Box, gap: number) {
  const least = Math.sqrt(((right - left) * (bottom - top)) / MOST_CELLS);
  const side = Math.max(gap / Math.SQRT2, least, 1e-6);
  const columns = Math.floor((right - left) / side) + 1;
  const rows = Math.floor((bottom - top) / side) + 1;
  const cells = new SquareLists();
  const points: Point[] = [];
  const around = Math.ceil(gap / side);
  const columnOf = (x: number) => Math.min(columns - 1, Math.floor((x - left) / side));
  const rowOf = (y: number) => Math.min(rows - 1, Math.floor((y - top) / side));
  return {
    put(point: Point): void {
      cells.add(columnOf(point.x), rowOf(point.y), points.push(point) - 1);
    },
    isFree({ x, y }: Point): boolean {
      const isTooNear = (other: number) => {
        const point = at(points, other);
        return (point.x - x) ** 2 + (point.y - y) ** 2 < gap * gap;
      };
      const [column, row] = [columnOf(x), rowOf(y)];
      for (let r = Math.max(0, row - around); r <= Math.min(rows - 1, row + around); r++) {
        for (let c = Math.max(0, column - around); c <= Math.min(columns - 1, column + around); c++) {
          if (cells.some(c, r, isTooNear)) return false;
        }
      }
      return true;
    },
  };
}
