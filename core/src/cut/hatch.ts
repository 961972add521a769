import { straight } from "../geometry/cubic";
import { flattenPath } from "../geometry/flatten";
import { apply, rotation } from "../geometry/matrix";
import { subpathOf, transformPath, type Path, type Subpath } from "../geometry/path";

/** Chords of the area that is hatched stay so near to its curves, millimetres. */
const FINE = 0.005;

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
  // As much room above the first row as below the last.
  const first = top + (bottom - top - Math.max(0, count - 1) * spacing) / 2;
  for (let row = 0; row < count; row++) {
    const y = first + row * spacing;
    const stretches = insideAt(level, y);
    for (const [from, to] of row % 2 === 0 ? stretches : stretches.reverse().map(([a, b]) => [b, a] as const)) {
      rows.push(subpathOf([straight(apply(back, { x: from, y }), apply(back, { x: to, y }))], false));
    }
  }
  return rows;
}

/** The stretches of a level line inside polygons, from left to right. */
function insideAt(
  polygons: readonly (readonly { x: number; y: number }[])[],
  y: number,
): (readonly [number, number])[] {
  const crossings: { x: number; way: number }[] = [];
  for (const points of polygons) {
    points.forEach((p, k) => {
      const q = points[(k + 1) % points.length] ?? p;
      if (p.y <= y === q.y <= y) return;
      crossings.push({ x: p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x), way: q.y > p.y ? 1 : -1 });
    });
  }
  crossings.sort((a, b) => a.x - b.x);
  const stretches: (readonly [number, number])[] = [];
  let [winding, begun] = [0, 0];
  for (const { x, way } of crossings) {
    const before = winding;
    winding += way;
    if (before === 0) begun = x;
    else if (winding === 0 && x > begun) stretches.push([begun, x]);
  }
  return stretches;
}

const minOf = (values: readonly number[]) => values.reduce((least, value) => Math.min(least, value), Infinity);
const maxOf = (values: readonly number[]) => values.reduce((most, value) => Math.max(most, value), -Infinity);
