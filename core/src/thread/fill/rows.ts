import { spend } from "../../geometry/effort";
import { insideAt, type Crossing } from "../../geometry/insideAt";
import type { Point } from "../../geometry/point";

/** A stretch of a row within an area, in the plane in which rows are level. Its ends are nodes 2n and 2n + 1 for stretch n. */
export interface RowStretch {
  /** The number of its row, from above. */
  readonly row: number;
  /** How far down it is. */
  readonly y: number;
  /** Its left end, and where that is on the outline. */
  readonly from: Crossing;
  /** Its right end. */
  readonly to: Crossing;
}

/** What a row takes at the least. */
const SECONDS_A_ROW = 2e-6;

/** Rows across polygons, so far apart, with as much room above the first as below the last. */
export function rowsAcross(polygons: readonly (readonly Point[])[], spacing: number): RowStretch[] {
  let [top, bottom] = [Infinity, -Infinity];
  for (const polygon of polygons) {
    for (const { y } of polygon) {
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  }
  if (!(bottom > top)) return [];
  const count = Math.max(1, Math.round((bottom - top) / spacing));
  spend(count * SECONDS_A_ROW);
  const first = top + (bottom - top - (count - 1) * spacing) / 2;
  const edges = edgesByRow(polygons, first, spacing, count);
  return Array.from({ length: count }, (_, row) => {
    const y = first + row * spacing;
    return insideAt(polygons, y, edges[row]).map((stretch): RowStretch => ({ row, y, ...stretch }));
  }).flat();
}

/** For each row the edges that may cross its height: two numbers each, the polygon's and the edge's. */
function edgesByRow(
  polygons: readonly (readonly Point[])[],
  first: number,
  spacing: number,
  count: number,
): number[][] {
  const rows = Array.from({ length: count }, (): number[] => []);
  polygons.forEach((points, polygon) => {
    points.forEach((p, edge) => {
      const q = points[(edge + 1) % points.length] ?? p;
      // A little more than the edge spans: an edge that does not cross is told by its ends.
      const low = Math.max(0, Math.ceil((Math.min(p.y, q.y) - first) / spacing - 0.01));
      const high = Math.min(count - 1, Math.floor((Math.max(p.y, q.y) - first) / spacing + 0.01));
      for (let row = low; row <= high; row++) rows[row]?.push(polygon, edge);
    });
  });
  return rows;
}

/**
 * Stretches that follow one below the other with nothing beside: columns that can be sewn to and fro. A stretch goes on
 * below in one that lies under no other and over it alone.
 */
export function columnsOf(stretches: readonly RowStretch[]): number[][] {
  const rows: number[][] = [];
  stretches.forEach(({ row }, number) => (rows[row] ??= []).push(number));
  const columns: number[][] = [];
  const columnOf = new Map<number, number[]>();
  for (let row = 0; row < rows.length; row++) {
    const above = rows[row - 1] ?? [];
    for (const number of rows[row] ?? []) {
      const over = above.filter((other) => overlap(stretches[other], stretches[number]));
      const [only] = over;
      const goesOn = only !== undefined && over.length === 1 && isAlone(only, rows[row] ?? [], stretches);
      const column = goesOn ? columnOf.get(only) : undefined;
      if (column) column.push(number);
      else columns.push([number]);
      columnOf.set(number, column ?? columns.at(-1) ?? [number]);
    }
  }
  return columns;
}

function isAlone(above: number, row: readonly number[], stretches: readonly RowStretch[]): boolean {
  return row.filter((number) => overlap(stretches[above], stretches[number])).length === 1;
}

function overlap(a: RowStretch | undefined, b: RowStretch | undefined): boolean {
  return a !== undefined && b !== undefined && a.from.x < b.to.x && b.from.x < a.to.x;
}
