import type { Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";
import { movedPiece, type Piece } from "../motif/drawing";

/** An outline copies are painted with. Millimetres. */
export interface Shape {
  /** Its outline, in its own space. */
  readonly path: Path;
  /** The pieces it is painted in, bottom first; null when the part's finish paints the outline as one. */
  readonly pieces: readonly Piece[] | null;
}

/** An outline carried by a map, with its pieces; their lines grow with it. */
export function movedShape({ path, pieces }: Shape, by: Matrix): Shape {
  return { path: transformPath(path, by), pieces: pieces && pieces.map((piece) => movedPiece(piece, by)) };
}
