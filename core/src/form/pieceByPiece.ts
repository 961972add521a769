import type { CrossSection, Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import type { Arena } from "./arena";
import { spendOnCorners } from "./cornerEffort";
import { solidThrough, type Level, type Warp } from "./levels";

/**
 * A solid of each piece of an area by itself through its levels, put together: pieces that lie apart have nothing to do
 * with each other. What all of them take is counted before the first is made. Throws a TooMuchEffort.
 */
export function pieceByPiece(
  area: CrossSection,
  arena: Arena,
  levelsOf: (piece: CrossSection) => readonly Level[],
  warp: Warp,
): Manifold {
  const levels = area.decompose().map((piece) => levelsOf(arena.keep(piece)));
  spendOnCorners(levels.flat().reduce((sum, { rings }) => sum + rings.reduce((own, { length }) => own + length, 0), 0));
  const solids = levels.map((own) => arena.keep(solidThrough(own, warp)));
  const [only] = solids;
  return only && solids.length === 1 ? only : arena.keep(solidEngine().Manifold.compose(solids));
}
