import { at } from "./at";
import { boxOfPoints, growBox, meets, type Box } from "./box";
import { spend } from "./effort";
import { flattenPath } from "./flatten";
import { once } from "./once";
import { boxOfPath, coordinatesOf, type Path } from "./path";
import type { Point } from "./point";
import { windingOf, type Chord } from "./winding";

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

/** The area a path encloses by the nonzero rule; open runs are closed by a straight line. Chords are kept by level rows. */
export function areaWithin(path: Path): Area {
  spend(coordinatesOf(path) * SECONDS_A_NUMBER);
  const chords = flattenPath(path, FINE).flatMap((points) =>
    points.map((from, index): Chord => [from, points[(index + 1) % points.length] ?? from]),
  );
  const rowCount = Math.max(1, Math.min(MOST_ROWS, chords.length));
  const box = boxOfPath(path);
  const height = Math.max(1e-9, box.bottom - box.top);
  const rowOf = (y: number) => Math.min(rowCount - 1, Math.max(0, Math.floor(((y - box.top) / height) * rowCount)));
  const rows: Chord[][] = Array.from({ length: rowCount }, () => []);
  for (const chord of chords) {
    const [top, bottom] = [chord[0].y, chord[1].y].sort((a, b) => a - b);
    for (let row = rowOf(top ?? 0); row <= rowOf(bottom ?? 0); row++) rows[row]?.push(chord);
  }
  // Boxes of the chords of each row, four numbers each: they are asked about far more often than they are made.
  const boxes = once(() => rows.map((own) => Float64Array.from(own.flatMap(boxNumbers))));
  return {
    path,
    box,
    contains: (point) =>
      point.y >= box.top && point.y <= box.bottom && windingOf(rows[rowOf(point.y)] ?? [], point) !== 0,
    bounds(asked) {
      const near = growBox(asked, 2 * FINE);
      if (!meets(near, box)) return false;
      for (let row = rowOf(near.top); row <= rowOf(near.bottom); row++) {
        if (meetsOne(at(boxes(), row), near)) return true;
      }
      return false;
    },
  };
}

function boxNumbers(chord: Chord): number[] {
  const { left, top, right, bottom } = boxOfPoints(chord);
  return [left, top, right, bottom];
}

function meetsOne(boxes: Float64Array, { left, top, right, bottom }: Box): boolean {
  for (let k = 0; k < boxes.length; k += 4) {
    const isBeside = (boxes[k] ?? 0) > right || (boxes[k + 2] ?? 0) < left;
    if (!isBeside && (boxes[k + 1] ?? 0) <= bottom && (boxes[k + 3] ?? 0) >= top) return true;
  }
  return false;
}
