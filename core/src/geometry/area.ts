import { at } from "./at";
import { growBox, meets, type Box } from "./box";
import { spend } from "./effort";
import { flattenPath } from "./flatten";
import { boxOfPath, coordinatesOf, type Path } from "./path";
import type { Point } from "./point";
import { crossingOf } from "./winding";

/** An area that can be asked, many times, about points and boxes. Millimetres. */
export interface Area {
  /** The outlines that bound it. */
  readonly path: Path;
  /** The box around it. */
  readonly box: Box;
  /** Whether a point lies in it. */
  contains: (point: Point) => boolean;
  /** Whether its boundary may pass through a box; where it does not, the box lies wholly inside or wholly outside. */
  bounds: (box: Box) => boolean;
}

/** Flattened to this, millimetres. */
const FINE = 0.01;
/** Rows at most; a small area has as many as chords. */
const MOST_ROWS = 256;
/** What an area takes for each number its outlines are written with. */
const SECONDS_A_NUMBER = 2e-6;
/** Numbers a chord is written with: x and y of its ends. */
const STRIDE = 4;

/** The area a path encloses by the nonzero rule; open runs are closed by a straight line. Chords are kept by level rows. */
export function areaWithin(path: Path): Area {
  spend(coordinatesOf(path) * SECONDS_A_NUMBER);
  const chords = chordsOf(path);
  const box = boxOfPath(path);
  const count = Math.max(1, Math.min(MOST_ROWS, chords.length / STRIDE));
  const height = Math.max(1e-9, box.bottom - box.top);
  const rowOf = (y: number) => Math.min(count - 1, Math.max(0, Math.floor(((y - box.top) / height) * count)));
  const rows = chordsByRow(chords, count, rowOf);
  return {
    path,
    box,
    contains: (point) =>
      point.y >= box.top && point.y <= box.bottom && windingOf(at(rows, rowOf(point.y)), point) !== 0,
    bounds(asked) {
      const near = growBox(asked, 2 * FINE);
      if (!meets(near, box)) return false;
      for (let row = rowOf(near.top); row <= rowOf(near.bottom); row++) {
        if (meetsOne(at(rows, row), near)) return true;
      }
      return false;
    },
  };
}

/** Every chord of closed outlines, four numbers each. */
function chordsOf(path: Path): Float64Array {
  const runs = flattenPath(path, FINE);
  const chords = new Float64Array(STRIDE * runs.reduce((sum, { length }) => sum + length, 0));
  let to = 0;
  for (const points of runs) {
    points.forEach((from, index) => {
      const next = points[(index + 1) % points.length] ?? from;
      chords[to++] = from.x;
      chords[to++] = from.y;
      chords[to++] = next.x;
      chords[to++] = next.y;
    });
  }
  return chords;
}

/** The chords that reach into each row, those of one row one after the other. */
function chordsByRow(chords: Float64Array, count: number, rowOf: (y: number) => number): Float64Array[] {
  const eachRow = (visit: (row: number, chord: number) => void) => {
    for (let k = 0; k < chords.length; k += STRIDE) {
      const [one, other] = [chords[k + 1] ?? 0, chords[k + 3] ?? 0];
      const last = rowOf(Math.max(one, other));
      for (let row = rowOf(Math.min(one, other)); row <= last; row++) visit(row, k);
    }
  };
  const sizes = new Uint32Array(count);
  eachRow((row) => (sizes[row] = (sizes[row] ?? 0) + STRIDE));
  const rows = Array.from(sizes, (size) => new Float64Array(size));
  sizes.fill(0);
  eachRow((row, chord) => {
    const to = sizes[row] ?? 0;
    const own = at(rows, row);
    for (let k = 0; k < STRIDE; k++) own[to + k] = chords[chord + k] ?? 0;
    sizes[row] = to + STRIDE;
  });
  return rows;
}

/** How often chords go round a point. */
function windingOf(chords: Float64Array, point: Point): number {
  let winding = 0;
  for (let k = 0; k < chords.length; k += STRIDE) {
    winding += crossingOf(chords[k] ?? 0, chords[k + 1] ?? 0, chords[k + 2] ?? 0, chords[k + 3] ?? 0, point);
  }
  return winding;
}

/** Whether the box of some chord meets a box. */
function meetsOne(chords: Float64Array, { left, top, right, bottom }: Box): boolean {
  for (let k = 0; k < chords.length; k += STRIDE) {
    const [fromX, fromY, toX, toY] = [chords[k] ?? 0, chords[k + 1] ?? 0, chords[k + 2] ?? 0, chords[k + 3] ?? 0];
    const isBeside = Math.min(fromX, toX) > right || Math.max(fromX, toX) < left;
    if (!isBeside && Math.min(fromY, toY) <= bottom && Math.max(fromY, toY) >= top) return true;
  }
  return false;
}
