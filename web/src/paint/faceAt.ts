import { pathData, type PartScene, type Point } from "@twin-petal/core";
import type { FoundFace } from "@/workers/frame";
import { motifPath } from "./motifPath";

/** The face at a point of the sheet, millimetres, with all that are coloured like it. */
export function faceAt({ shapes, faceOf, colorOf }: PartScene["geometry"], { x, y }: Point): FoundFace | null {
  const context = new OffscreenCanvas(1, 1).getContext("2d");
  if (!context || !faceOf || !colorOf) return null;
  const found = shapes.findIndex(({ path }, shape) => faceOf[shape] && context.isPointInPath(motifPath(path), x, y));
  const [name, color] = [faceOf[found], colorOf[found]];
  if (!name || color === undefined) return null;
  const alike = shapes.filter((_, shape) => faceOf[shape] && colorOf[shape] === color);
  return {
    name,
    color,
    colors: colorOf.reduce((most, own) => Math.max(most, own), 0) + 1,
    outline: pathData(shapes[found]?.path ?? []),
    alike: alike.map(({ path }) => pathData(path)).join(""),
  };
}
