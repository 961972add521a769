import { transformPath, type Path } from "../geometry/path";
import type { Point } from "../geometry/point";
import { isInside } from "../geometry/pointInLoop";
import { matrixAt } from "../rules/placements";
import { shapeOfCopy } from "../rules/copyOutlines";
import type { PartScene, Scene } from "./scene";

/** Ids of the shown parts of which every corner of every copy is inside a loop drawn on the sheet, millimetres; bottom first. */
export function partsInside({ parts }: Pick<Scene, "parts">, loop: readonly Point[]): string[] {
  return parts.filter((part) => part.visible && isWhollyInside(part, loop)).map(({ id }) => id);
}

function isWhollyInside({ geometry }: PartScene, loop: readonly Point[]): boolean {
  const { placements } = geometry;
  let corners = 0;
  for (let copy = 0; copy < placements.count; copy++) {
    const { path } = shapeOfCopy(geometry, copy);
    for (const corner of cornersOf(transformPath(path, matrixAt(placements.matrices, copy)))) {
      if (!isInside(corner, loop)) return false;
      corners += 1;
    }
  }
  return corners > 0;
}

/** Where the segments of an outline end. */
function cornersOf(path: Path): Point[] {
  return path.flatMap(({ coordinates }) => {
    const corners: Point[] = [];
    for (let k = 0; k + 1 < coordinates.length; k += 6)
      corners.push({ x: coordinates[k] ?? 0, y: coordinates[k + 1] ?? 0 });
    return corners;
  });
}
