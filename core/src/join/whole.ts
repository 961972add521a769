import type { Path } from "../geometry/path";
import type { JoinAsked } from "./definition";
import type { Composed, JoinedCopies } from "./joined";
import { cutAs, runsWithinLimits } from "./joinLimits";
import { lostColors } from "./lostColors";
import { inPlace } from "./inPlace";

/** The closed runs of an outline. */
export const isArea = (path: Path) => path.filter(({ closed }) => closed);
/** The open runs of an outline. */
export const isLine = (path: Path) => path.filter(({ closed }) => !closed);

/** Copies that have become one outline on the sheet, laid out so that none of its runs cross. */
export function whole(path: Path, { shapes }: Composed, { limits, bands }: JoinAsked): JoinedCopies {
  const notes = lostColors(shapes);
  const outline = runsWithinLimits(path, limits, cutAs(bands));
  return {
    shapes: [{ path: outline, pieces: null }],
    placements: inPlace(1),
    sizes: null,
    colorOf: null,
    faceOf: null,
    crossings: null,
    notes: notes,
  };
}
