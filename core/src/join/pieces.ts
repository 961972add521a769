import type { Path } from "../geometry/path";
import { NO_LINE, pieceOutline, type Piece } from "../motif/drawing";
import type { Shape } from "../rules/shape";

/** An outline the part's fill paints, without a line. */
export function filled(path: Path): Piece {
  return { path, fill: "finish", fillRule: "nonzero", line: NO_LINE, opacity: 1 };
}

/** An outline only the part's line paints. */
export function lined(path: Path): Piece {
  return { path, fill: null, fillRule: "nonzero", line: null, opacity: 1 };
}

/** The outline a joined shape's line is drawn along: where doubled lines are dropped, less than what is filled. */
export function lineOutline({ path, pieces }: Shape): Path {
  const drawn = pieces?.filter(({ line }) => line === null) ?? [];
  return drawn.some(({ fill }) => fill === null) ? drawn.flatMap(pieceOutline) : path;
}
