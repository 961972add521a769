import { EMPTY_BOX, type Box } from "./box";
import { extentOf, type Cubic } from "./cubic";
import { IDENTITY, type Matrix } from "./matrix";
import type { Point } from "./point";

/**
 * One run of cubic segments as a flat list of millimetres: the start point, then for every segment
 * its two handles and its end (x, y each), so 2 + 6·segments numbers. A straight segment has its
 * handles on its ends. A closed run ends where it started.
 */
export interface Subpath {
  /** Whether its end meets its beginning. */
  readonly closed: boolean;
  /** x and y of the start, then of the two handles and the end of each cubic. */
  readonly coordinates: readonly number[];
}

/** An outline: one or more runs, filled by the nonzero rule. */
export type Path = readonly Subpath[];

/** A run through the given segments, each starting where the one before ended. */
export function subpathOf(segments: readonly Cubic[], closed: boolean): Subpath {
  const coordinates: number[] = [];
  const push = ({ x, y }: Point) => coordinates.push(x, y);
  segments.forEach(([start, leave, arrive, end], index) => {
    if (index === 0) push(start);
    push(leave);
    push(arrive);
    push(end);
  });
  return { closed, coordinates };
}

/** The closed run through corner points joined by straight segments. */
export function polygonOf(corners: readonly Point[]): Subpath {
  const segments = corners.map((corner, index): Cubic => {
    const next = corners[(index + 1) % corners.length] ?? corner;
    return [corner, corner, next, next];
  });
  return subpathOf(segments, true);
}

/** A run's cubics in order. */
export function segmentsOf({ coordinates }: Subpath): Cubic[] {
  const at = (index: number): Point => ({ x: coordinates[index] ?? 0, y: coordinates[index + 1] ?? 0 });
  const segments: Cubic[] = [];
  for (let k = 0; k + 7 < coordinates.length; k += 6) {
    segments.push([at(k), at(k + 2), at(k + 4), at(k + 6)]);
  }
  return segments;
}

/** How many numbers an outline is written with. */
export function coordinatesOf(path: Path): number {
  return path.reduce((sum, { coordinates }) => sum + coordinates.length, 0);
}

/** An outline carried by a map. */
export function transformPath(path: Path, matrix: Matrix): Path {
  const [a, b, c, d, e, f] = matrix;
  return path.map(({ closed, coordinates }) => {
    const moved = new Array<number>(coordinates.length);
    for (let k = 0; k + 1 < coordinates.length; k += 2) {
      const x = coordinates[k] ?? 0;
      const y = coordinates[k + 1] ?? 0;
      moved[k] = a * x + c * y + e;
      moved[k + 1] = b * x + d * y + f;
    }
    return { closed, coordinates: moved };
  });
}

/** The same runs travelled the other way, which turns a filled region into a hole in its neighbour. */
export function reversePath(path: Path): Path {
  return path.map(({ closed, coordinates }) => {
    const reversed: number[] = [];
    for (let k = coordinates.length - 2; k >= 0; k -= 2) {
      reversed.push(coordinates[k] ?? 0, coordinates[k + 1] ?? 0);
    }
    return { closed, coordinates: reversed };
  });
}

/** The exact box of a path under a map: curves reach to their turning points, not to their handles. */
export function boxOfPath(path: Path, [a, b, c, d, e, f]: Matrix = IDENTITY): Box {
  const box = { ...EMPTY_BOX };
  const holds = (x: number, y: number) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
  for (const { coordinates } of path) {
    for (let k = 0; k + 7 < coordinates.length; k += 6) {
      const xAt = (at: number) => a * (coordinates[k + at] ?? 0) + c * (coordinates[k + at + 1] ?? 0) + e;
      const yAt = (at: number) => b * (coordinates[k + at] ?? 0) + d * (coordinates[k + at + 1] ?? 0) + f;
      const [x0, y0, x1, y1] = [xAt(0), yAt(0), xAt(2), yAt(2)];
      const [x2, y2, x3, y3] = [xAt(4), yAt(4), xAt(6), yAt(6)];
      // A curve lies within the hull of its ends and handles.
      if (holds(x0, y0) && holds(x1, y1) && holds(x2, y2) && holds(x3, y3)) continue;
      const [left, right] = extentOf(x0, x1, x2, x3);
      const [top, bottom] = extentOf(y0, y1, y2, y3);
      if (left < box.left) box.left = left;
      if (top < box.top) box.top = top;
      if (right > box.right) box.right = right;
      if (bottom > box.bottom) box.bottom = bottom;
    }
  }
  return box;
}

/**
 * Signed area in square millimetres, exact for cubics (Green's theorem integrated over the Bernstein
 * basis); positive for runs that go clockwise on the sheet.
 */
export function areaOfPath(path: Path): number {
  let sum = 0;
  for (const subpath of path) {
    for (const [p0, p1, p2, p3] of segmentsOf(subpath)) {
      sum +=
        (3 *
          ((p3.y - p0.y) * (p1.x + p2.x) -
            (p3.x - p0.x) * (p1.y + p2.y) +
            p1.y * (p0.x - p2.x) -
            p1.x * (p0.y - p2.y) +
            p3.y * (p2.x + p0.x / 3) -
            p3.x * (p2.y + p0.y / 3))) /
        20;
    }
  }
  return sum;
}
