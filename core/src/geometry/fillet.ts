import { arcSegments } from "./arc";
import { normaliseDegrees } from "./angle";
import { pieceOf, pointAt, straight, tangentAt, type Cubic } from "./cubic";
import { directionOf, polar, type Point } from "./point";

/**
 * Rounds the corners of a closed figure whose corners each lie on a line of symmetry through the
 * origin (regular polygons and stars). `edges[k]` runs from corner k to corner k + 1, halves of it
 * mirroring each other's corner. The radius is in millimetres and stops growing where the roundings
 * of one edge would meet.
 */
export function roundCorners(edges: readonly Cubic[], radius: number): Cubic[] {
  if (radius <= 0) return [...edges];
  const trims = edges.map((edge) => ({
    start: trimFor(edge, radius, false),
    end: trimFor(edge, radius, true),
  }));
  return edges.flatMap((edge, index) => {
    const trim = trims[index] ?? { start: 0, end: 1 };
    const following = (index + 1) % edges.length;
    const next = edges[following] ?? edge;
    const kept = trim.end - trim.start > 1e-9 ? [pieceOf(edge, trim.start, trim.end)] : [];
    return [...kept, ...cornerArc(edge, trim.end, next, trims[following]?.start ?? 0)];
  });
}

/** Signed radius of the circle that touches an edge at t and is centred on the corner's line of symmetry. */
function touchingRadius(edge: Cubic, t: number, corner: Point): number {
  const axisLength = Math.hypot(corner.x, corner.y);
  const axis = { x: corner.x / axisLength, y: corner.y / axisLength };
  const point = pointAt(edge, t);
  const tangent = tangentAt(edge, t);
  const normal = { x: -tangent.y, y: tangent.x };
  const offAxis = point.x * axis.y - point.y * axis.x;
  const approach = normal.x * axis.y - normal.y * axis.x;
  return Math.abs(approach) < 1e-12 ? Infinity : -offAxis / approach;
}

/** The parameter where the rounding of the edge's start (or end) corner begins, found by halving. */
function trimFor(edge: Cubic, radius: number, atEnd: boolean): number {
  const corner = atEnd ? edge[3] : edge[0];
  const parameter = (share: number) => (atEnd ? 1 - share : share);
  let low = 0;
  let high = 0.5;
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (Math.abs(touchingRadius(edge, parameter(middle), corner)) > radius) high = middle;
    else low = middle;
  }
  return parameter((low + high) / 2);
}

function cornerArc(before: Cubic, end: number, after: Cubic, start: number): Cubic[] {
  const from = pointAt(before, end);
  const to = pointAt(after, start);
  const signed = touchingRadius(before, end, before[3]);
  if (!Number.isFinite(signed)) return [straight(from, to)];
  const tangent = tangentAt(before, end);
  const centre = { x: from.x - tangent.y * signed, y: from.y + tangent.x * signed };
  const a = directionOf(centre, from);
  const sweep = normaliseDegrees(directionOf(centre, to) - a);
  return arcSegments(Math.abs(signed), a, a + (signed > 0 ? sweep : sweep - 360), centre);
}

/** Points of a regular figure: `count` of them at a radius, the first at `start` degrees. */
export function regularPoints(count: number, radius: number, start: number): Point[] {
  return Array.from({ length: count }, (_, index) => polar(radius, start + (index * 360) / count));
}
