import type { Point } from "./point";

/** Where a level line crosses a polygon's edge. */
export interface Crossing {
  /** How far to the right. */
  readonly x: number;
  /** The number of the polygon. */
  readonly polygon: number;
  /** The number of the edge's first corner and, behind the point, the share of the edge up to the crossing. */
  readonly at: number;
}

/** A stretch of a level line inside polygons. */
export interface InsideStretch {
  /** Where it comes in, from the left. */
  readonly from: Crossing;
  /** Where it goes out. */
  readonly to: Crossing;
}

/** Edges of polygons, two numbers each: the polygon's, and the edge's first corner's. */
type Edges = readonly number[];

/**
 * The stretches of a level line inside polygons (by the nonzero rule), from left to right; where the edges that may cross
 * its height are known, only they are looked at.
 */
export function insideAt(polygons: readonly (readonly Point[])[], y: number, edges?: Edges): InsideStretch[] {
  const crossings: (Crossing & { readonly way: number })[] = [];
  const look = (polygon: number, edge: number) => {
    const points = polygons[polygon] ?? [];
    const [p, q] = [points[edge], points[(edge + 1) % points.length]];
    if (!p || !q || p.y <= y === q.y <= y) return;
    const share = (y - p.y) / (q.y - p.y);
    crossings.push({ x: p.x + share * (q.x - p.x), polygon, at: edge + share, way: q.y > p.y ? 1 : -1 });
  };
  if (edges) for (let k = 0; k < edges.length; k += 2) look(edges[k] ?? 0, edges[k + 1] ?? 0);
  else polygons.forEach((points, polygon) => points.forEach((_, edge) => look(polygon, edge)));
  crossings.sort((a, b) => a.x - b.x);
  const stretches: InsideStretch[] = [];
  let winding = 0;
  let begun: Crossing | null = null;
  for (const crossing of crossings) {
    const before = winding;
    winding += crossing.way;
    if (before === 0) begun = crossing;
    else if (winding === 0 && begun && crossing.x > begun.x) stretches.push({ from: begun, to: crossing });
  }
  return stretches;
}
