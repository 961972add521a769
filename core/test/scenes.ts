import { buildScene, matrixAt, type Design, type Matrix, type PartScene, type Path, type Point } from "../src";
import { transformPath } from "../src/geometry/path";

/** One part of a design, computed. */
export function partOf(design: Design, id = "a"): PartScene {
  const part = buildScene(design).parts.find((known) => known.id === id);
  if (!part) throw new Error(`no part ${id}: ${JSON.stringify(buildScene(design).problems)}`);
  return part;
}

export function matricesOf({ geometry: { placements } }: PartScene): Matrix[] {
  return Array.from({ length: placements.count }, (_, copy) => matrixAt(placements.matrices, copy));
}

/** Where copies' feet stand. */
export function feetOf(part: PartScene): Point[] {
  return matricesOf(part).map(([, , , , x, y]) => ({ x, y }));
}

/** The outline of every copy as it stands on the sheet. */
export function outlinesOf({ geometry: { placements, shapes } }: PartScene): Path[] {
  return Array.from({ length: placements.count }, (_, copy) =>
    transformPath(shapes[placements.shapeOf?.[copy] ?? 0]?.path ?? [], matrixAt(placements.matrices, copy)),
  );
}
