import { sizeOf } from "../../geometry/matrix";
import { widestOf } from "../../geometry/strip/lineShape";
import { matrixAt } from "../../rules/placements";
import { madeParts } from "../../scene/made";
import { definePrintCheck } from "./definition";

/** Lines thinner than this may not print, millimetres. */
const THINNEST = 0.1;

/** Whether lines are as wide on paper as a printer can lay them. */
export const thinLines = definePrintCheck({
  kind: "thinLines",
  check({ scene, settings: { scale } }) {
    const widths = madeParts(scene).flatMap(({ finish, geometry: { placements } }) => {
      const { line } = finish;
      if (!line || placements.count === 0) return [];
      let smallest = Infinity;
      let at = { x: 0, y: 0 };
      for (let copy = 0; copy < placements.count; copy++) {
        const matrix = matrixAt(placements.matrices, copy);
        const size = line.widths === "same" ? 1 : sizeOf(matrix);
        if (size < smallest) [smallest, at] = [size, { x: matrix[4], y: matrix[5] }];
      }
      const width = widestOf(line) * smallest * scale;
      return width > 0 ? [{ width, at }] : [];
    });
    const thin = widths.filter(({ width }) => width < THINNEST - 1e-9).sort((a, b) => a.width - b.width);
    return {
      state: thin.length > 0 ? "doubtful" : "passed",
      figures: { count: thin.length, width: thin[0]?.width ?? 0, thinnest: THINNEST },
      places: thin.map(({ at }) => at),
    };
  },
});
