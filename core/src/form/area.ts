import type { CrossSection, SimplePolygon } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import type { FillRule } from "../geometry/boolean/operation";
import { flattenPath } from "../geometry/flatten";
import type { Path } from "../geometry/path";
import type { Arena } from "./arena";

/** Closed outlines of straight edges, y away from the viewer: outer ones anticlockwise, holes clockwise. Millimetres. */
export type Rings = readonly SimplePolygon[];

/** An outline's area, its curves as chords within `tolerance` millimetres. Open runs count as closed. */
export function areaOfOutline(path: Path, rule: FillRule, tolerance: number, arena: Arena): CrossSection {
  const rings = flattenPath(path, tolerance).map((points) => points.map(({ x, y }): [number, number] => [x, -y]));
  return within(
    rings.filter((ring) => ring.length > 2),
    rule === "evenodd" ? "EvenOdd" : "NonZero",
    arena,
  );
}

/** The engine takes no empty list. */
const NOTHING: Rings = [
  [
    [0, 0],
    [0, 0],
    [0, 0],
  ],
];

/** The area that rings bound; by `Positive`, what lies to the left of more of them than to the right. */
export function within(rings: Rings, rule: "EvenOdd" | "NonZero" | "Positive", arena: Arena): CrossSection {
  return arena.keep(solidEngine().CrossSection.ofPolygons([...(rings.length > 0 ? rings : NOTHING)], rule));
}

/** Chords of a full circle of a radius so that none leaves it by more than the tolerance, at least eight. Millimetres. */
export function chordsOfCircle(radius: number, tolerance: number): number {
  if (radius <= tolerance) return 8;
  return Math.max(8, Math.ceil(Math.PI / Math.acos(1 - tolerance / radius)));
}

/** The area less all that is nearer to its edge than a length. Millimetres. */
export function inset(area: CrossSection, by: number, tolerance: number, arena: Arena): CrossSection {
  if (by <= 0) return area;
  return arena.keep(area.offset(-by, "Round", 2, chordsOfCircle(by, tolerance)));
}

/** How far the point that is furthest from the area's edge is from it. Millimetres. */
export function depthWithin(area: CrossSection, tolerance: number, arena: Arena): number {
  const { min, max } = area.bounds();
  let [inside, outside] = [0, Math.min(max[0] - min[0], max[1] - min[1]) / 2 + tolerance];
  while (outside - inside > Math.max(tolerance / 10, outside * 1e-4)) {
    const middle = (inside + outside) / 2;
    const left = inset(area, middle, tolerance, arena);
    if (left.isEmpty()) outside = middle;
    else inside = middle;
    arena.drop(left);
  }
  return inside;
}

/** What rings hold together, square millimetres (the shoelace formula). */
export function areaOf(rings: Rings): number {
  return rings.reduce((sum, ring) => sum + areaOfRing(ring), 0);
}

function areaOfRing(ring: SimplePolygon): number {
  let sum = 0;
  ring.forEach(([x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
    sum += x * nextY - nextX * y;
  });
  return sum / 2;
}
