import type { Anchor } from "../design/guides/anchor";
import type { GuideShape } from "../design/guides/definition";
import { pointAt } from "../geometry/cubic";
import { apply } from "../geometry/matrix";
import { measurePath } from "../geometry/pathLength";
import { areaOfPath, segmentsOf, transformPath } from "../geometry/path";
import { directionOf, distance, type Point } from "../geometry/point";
import { shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import type { PartScene, Scene } from "./scene";

/** What lies between two places. */
export interface Measured {
  /** Millimetres. */
  readonly distance: number;
  /** Degrees, 0° up, clockwise; 0 to less than 360. */
  readonly angle: number;
  /** Millimetres to the right. */
  readonly across: number;
  /** Millimetres down. */
  readonly down: number;
}

/** Distance and direction from one place to another. */
export function measured(from: Point, to: Point): Measured {
  const [across, down] = [to.x - from.x, to.y - from.y];
  const angle = across === 0 && down === 0 ? 0 : (directionOf(from, to) + 360) % 360;
  return { distance: distance(from, to), angle, across, down };
}

/** A dimension as it lies on the sheet, millimetres. */
export interface PlacedDimension {
  /** The guide's number in the design. */
  readonly guide: number;
  /** Where it begins. */
  readonly from: Point;
  /** Where it ends. */
  readonly to: Point;
}

/** Every dimension whose places are there at present. */
export function dimensionsOf({ guides, parts }: Pick<Scene, "guides" | "parts">): PlacedDimension[] {
  return guides.flatMap((guide, index) => {
    if (!isDimension(guide)) return [];
    const [from, to] = [pointOfAnchor(parts, guide.from), pointOfAnchor(parts, guide.to)];
    return from && to ? [{ guide: index, from, to }] : [];
  });
}

function isDimension(guide: GuideShape): guide is Extract<GuideShape, { readonly from: Anchor }> {
  return "from" in guide;
}

/** Where a place is on the sheet; null where its part, its copy or its segment is not there. Millimetres. */
export function pointOfAnchor(
  parts: readonly PartScene[],
  { part: id, copy, place, index, x, y }: Anchor,
): Point | null {
  if (id === "") return { x, y };
  const geometry = parts.find((part) => part.id === id)?.geometry;
  if (!geometry || copy >= geometry.placements.count) return null;
  const { path } = shapeOfCopy(geometry, copy);
  // Nodes are counted through all runs: an open run has one more than it has segments.
  let left = index;
  for (const run of path) {
    const segments = segmentsOf(run);
    const last = segments.at(-1);
    const count = segments.length + (place === "node" && !run.closed ? 1 : 0);
    const segment = segments[left];
    const own = segment ? (place === "node" ? segment[0] : pointAt(segment, 0.5)) : last?.[3];
    if (left < count) return own ? apply(matrixAt(geometry.placements.matrices, copy), own) : null;
    left -= count;
  }
  return null;
}

/** What one copy measures by itself. */
export interface MeasuredCopy {
  /** The part's name. */
  readonly name: string;
  /** What its closed outlines enclose, square millimetres; 0 for a line. */
  readonly area: number;
  /** Along all its outlines, millimetres. */
  readonly length: number;
}

/** Area and outline length of one copy of a part as it stands on the sheet; null where there is none. */
export function measuredCopy(
  { name, geometry }: Pick<PartScene, "name" | "geometry">,
  copy: number,
): MeasuredCopy | null {
  if (copy >= geometry.placements.count) return null;
  const path = transformPath(shapeOfCopy(geometry, copy).path, matrixAt(geometry.placements.matrices, copy));
  const closed = path.filter((run) => run.closed);
  const length = path.reduce((sum, run) => sum + measurePath(run).length, 0);
  return { name, area: Math.abs(areaOfPath(closed)), length };
}
