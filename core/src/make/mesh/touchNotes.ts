import type { SolidModel } from "../../solid/bodies";
import { touchingEdges } from "../../solid/meshEdges";

/** What is to be known of bodies that only touch: a reader may take an edge with four faces for either one piece or two. */
export function touchNotes({ whole, bodies }: SolidModel): string[] {
  const meshes = whole ? [whole] : bodies.map(({ mesh }) => mesh);
  const edges = meshes.reduce((sum, mesh) => sum + touchingEdges(mesh).length / 2, 0);
  if (edges === 0) return [];
  return [
    `the solids only touch along ${edges === 1 ? "an edge" : `${edges} edges`}, where nothing holds them together: let them overlap, or stand apart`,
  ];
}
