import type { CrossSection, Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import type { Arena } from "./arena";

/** A solid of each piece of an area by itself, put together: pieces that lie apart have nothing to do with each other. */
export function pieceByPiece(area: CrossSection, arena: Arena, solidOf: (piece: CrossSection) => Manifold): Manifold {
  const solids = area.decompose().map((piece) => arena.keep(solidOf(arena.keep(piece))));
  const [only] = solids;
  return only && solids.length === 1 ? only : arena.keep(solidEngine().Manifold.compose(solids));
}
