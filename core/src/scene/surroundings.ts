import type { ResolvedSheet } from "../design/resolved";
import { invert, multiply, type Matrix } from "../geometry/matrix";
import { transformPath } from "../geometry/path";
import type { Surroundings } from "../motif/drawing";
import { areaOfCopies, shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import { paintedLayers } from "./paintedLayers";
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
      const { placements } = geometry.copies;
      if (placements.count === 0) return [];
      return transformPath(shapeOfCopy(geometry.copies, 0).path, multiply(back, matrixAt(placements.matrices, 0)));
    },
    areaOf(id) {
      const geometry = partOf(id)?.geometry;
      return geometry && back ? transformPath(areaOfCopies(geometry), back) : null;
    },
    paintedOf(id) {
      const part = partOf(id);
      return part && back ? paintedLayers(part).map((layer) => transformPath(layer, back)) : [];
    },
    wholeOf(id, stands) {
      const part = partOf(id);
      const toOwn = stands === "sheet" ? back : part && invert(part.geometry.at);
      return part && toOwn ? wholePart(part, toOwn) : null;
    },
    sheet: () => (back ? transformPath([sheetEdge(sheet)], back) : []),
  };
}
