import type { Path } from "../geometry/path";
import { NO_LINE, type Piece } from "../motif/drawing";

/** An outline the part's fill paints, without a line. */
export function filled(path: Path): Piece {
  return { path, fill: "finish", fillRule: "nonzero", line: NO_LINE, opacity: 1 };
}

/** An outline only the part's line paints. */
export function lined(path: Path): Piece {
  return { path, fill: null, fillRule: "nonzero", line: null, opacity: 1 };
}
