import { straight } from "../geometry/cubic";
import { spend } from "../geometry/effort";
import { flattenPath } from "../geometry/flatten";
import { apply, rotation } from "../geometry/matrix";
import { insideAt } from "../geometry/insideAt";
import { subpathOf, transformPath, type Path, type Subpath } from "../geometry/path";

/** Chords of the area that is hatched stay so near to its curves, millimetres. */
const FINE = 0.005;

/** What an edge takes to be looked at for a row. */
const SECONDS_AN_EDGE = 20e-9;

/**
 * Straight rows across an area (filled by the nonzero rule), at a direction in degrees from level, clockwise, and a
 * distance from row to row, to and fro in turn. Millimetres.
 */
export function hatchOf(area: Path, angle: number, spacing: number): Subpath[] {
  const level = flattenPath(transformPath(area, rotation(-angle)), FINE);
  const heights = level.flat().map(({ y }) => y);
  const [top, bottom] = [minOf(heights), maxOf(heights)];
  const back = rotation(angle);
  const rows: Subpath[] = [];
  const count = Math.floor((bottom - top) / spacing);
  spend(Math.max(0, count) * heights.length * SECONDS_AN_EDGE);
  // As much room above the first row as below the last.
  const first = top + (bottom - top - Math.max(0, count - 1) * spacing) / 2;
  for (let row = 0; row < count; row++) {
    const y = first + row * spacing;
    const stretches = insideAt(level, y).map(({ from, to }) => [from.x, to.x] as const);
    for (const [from, to] of row % 2 === 0 ? stretches : stretches.reverse().map(([a, b]) => [b, a] as const)) {
      rows.push(subpathOf([straight(apply(back, { x: from, y }), apply(back, { x: to, y }))], false));
    }
  }
  return rows;
}

const minOf = (values: readonly number[]) => values.reduce((least, value) => Math.min(least, value), Infinity);
const maxOf = (values: readonly number[]) => values.reduce((most, value) => Math.max(most, value), -Infinity);
