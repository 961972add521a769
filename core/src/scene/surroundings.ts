import { partsNamed, type GroupMembers } from "../design/groups";
import type { ResolvedSheet } from "../design/resolved";
import { invert, multiply, type Matrix } from "../geometry/matrix";
import { transformPath } from "../geometry/path";
import type { Drawing, Surroundings } from "../motif/drawing";
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
  groups: GroupMembers,
): Surroundings {
  const back = invert(space);
  /** The parts that something named stands for, as far as they are computed. */
  const partsOf = (id: string) => partsNamed(groups, id).flatMap((part) => partOf(part) ?? []);
  return {
    lineOf(id) {
      const geometry = partOf(id)?.geometry;
      if (!geometry || !back) return null;
      const { placements } = geometry.copies;
      if (placements.count === 0) return [];
      return transformPath(shapeOfCopy(geometry.copies, 0).path, multiply(back, matrixAt(placements.matrices, 0)));
    },
    areaOf(id) {
      const parts = partsOf(id);
      if (parts.length === 0 || !back) return null;
      return parts.flatMap(({ geometry }) => transformPath(areaOfCopies(geometry), back));
    },
    paintedOf: (id) =>
      back ? partsOf(id).flatMap((part) => paintedLayers(part).map((layer) => transformPath(layer, back))) : [],
    wholeOf(id, stands) {
      const isPainted = ({ visible, ownRole }: PartScene) => visible && ownRole === "show";
      const parts = groups.has(id) ? partsOf(id).filter(isPainted) : partsOf(id);
      const [lowest] = parts;
      const toOwn = stands === "sheet" ? back : lowest && invert(lowest.geometry.at);
      return lowest && toOwn ? together(parts.map((part) => wholePart(part, toOwn))) : null;
    },
    sheet: () => (back ? transformPath([sheetEdge(sheet)], back) : []),
  };
}

/** Several drawings as one, the first at the bottom. */
function together(drawings: readonly Drawing[]): Drawing {
  return {
    path: drawings.flatMap(({ path }) => path),
    pieces: drawings.flatMap(({ pieces }) => pieces ?? []),
    notes: [...new Set(drawings.flatMap(({ notes }) => notes))],
  };
}
