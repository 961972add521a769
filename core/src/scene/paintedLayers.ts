import { piecesOf } from "../finish/line/strokesAsAreas";
import { strokeAreas } from "../finish/line/strokeAreas";
import type { ResolvedFinish } from "../finish/finishFields";
import { areaOfPath, reversePath, transformPath, type Path } from "../geometry/path";
import { plainLine } from "../geometry/strip/lineShape";
import type { Piece } from "../motif/drawing";
import { areaOfCopies } from "../rules/copyOutlines";
import type { Shape } from "../rules/shape";
import type { PartScene } from "./scene";

/**
 * What all copies of a part paint, on the sheet: what they fill and what their lines cover, widths and dots included, each an
 * area by the nonzero rule.
 */
export function paintedLayers({ geometry, finish }: Pick<PartScene, "geometry" | "finish">): Path[] {
  const { shapes, placements } = geometry;
  const layer = (painted: (piece: Piece, finish: ResolvedFinish) => Path): Path => {
    const own = shapes.map((shape): Shape => {
      const path = piecesOf(shape).flatMap((piece) => placed(piece, painted(piece, finish)));
      return { path, pieces: null };
    });
    return areaOfCopies({ shapes: own, placements });
  };
  return [layer(filledBy), layer(drawnBy)].filter((path) => path.length > 0);
}

/** Every area runs the same way round, or two that lie over each other would undo each other. */
function placed({ at }: Piece, area: Path): Path {
  const stood = at ? transformPath(area, at) : area;
  return areaOfPath(stood) < 0 ? reversePath(stood) : stood;
}

function filledBy({ path, fill }: Piece, finish: ResolvedFinish): Path {
  const isFilled = fill !== null && (fill !== "finish" || finish.fill !== null);
  return isFilled ? path.filter(({ closed }) => closed) : [];
}

function drawnBy({ path, line }: Piece, finish: ResolvedFinish): Path {
  const shape = line ? (line.paint === null ? null : plainLine(line)) : finish.line;
  return shape ? strokeAreas(path, shape, false).flatMap((stretch) => stretch.path) : [];
}
