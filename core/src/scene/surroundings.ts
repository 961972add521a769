import type { ResolvedSheet } from "../design/resolve";
import { determinant, invert, multiply, type Matrix } from "../geometry/matrix";
import { reversePath, transformPath, type Path } from "../geometry/path";
import type { Surroundings } from "../motif/drawing";
import { matrixAt } from "../rules/placements";
import type { PartScene } from "./scene";
import { sheetEdge } from "./sheetEdge";
import { wholePart } from "./wholePart";

/** The other parts and the sheet as a motif or a rule sees them; `space` takes its own space to the sheet. */
export function surroundingsOf(
  space: Matrix,
  sheet: ResolvedSheet,
  partOf: (id: string) => PartScene | undefined,
): Surroundings {
  const back = invert(space);
  return {
    lineOf(id) {
      const geometry = partOf(id)?.geometry;
      if (!geometry || !back) return null;
      const { placements, shapes } = geometry.copies;
      const source = shapes[placements.shapeOf?.[0] ?? 0]?.path ?? [];
      return transformPath(source, multiply(back, matrixAt(placements.matrices, 0)));
    },
    areaOf(id) {
      const geometry = partOf(id)?.geometry;
      return geometry && back ? transformPath(everyOutline(geometry), back) : null;
    },
    wholeOf(id) {
      const part = partOf(id);
      const toOwn = part && invert(part.geometry.at);
      return part && toOwn ? wholePart(part, toOwn) : null;
    },
    sheet: () => (back ? transformPath([sheetEdge(sheet)], back) : []),
  };
}

/** All copies as one area. Mirrored ones are run the other way, or they would undo those they lie over. */
function everyOutline({ placements, shapes }: PartScene["geometry"]): Path {
  return Array.from({ length: placements.count }, (_, copy) => {
    const matrix = matrixAt(placements.matrices, copy);
    const placed = transformPath(shapes[placements.shapeOf?.[copy] ?? 0]?.path ?? [], matrix);
    return determinant(matrix) < 0 ? reversePath(placed) : placed;
  }).flat();
}
