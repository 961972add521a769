import type { CrossSection } from "manifold-3d";
import { Incomputable } from "../formula/incomputable";
import { chordsOfCircle, depthWithin, inset } from "./area";
import { defineForm, type FormAsked } from "./definition";
import { CROWN } from "./edge";
import { reaching, STANDING } from "./height";
import { pieceByPiece } from "./pieceByPiece";
import type { Level } from "./levels";

/** Levels of a dome are at most so many, however fine. */
const MOST_LEVELS = 48;

/** The area raised to `depth` at its middle, falling to its edge as an ellipse does; each piece of it by itself. */
export const dome = defineForm({
  kind: "dome",
  fields: STANDING,
  solid(area, values, asked) {
    const standing = reaching(values, asked.through);
    const { base } = standing;
    return pieceByPiece(
      area,
      asked.arena,
      (piece) => levelsOf(piece, standing.depth, asked),
      (x, y, z) => [x, y, base + z],
    );
  },
});

function levelsOf(area: CrossSection, depth: number, { tolerance, arena }: FormAsked): Level[] {
  const reach = depthWithin(area, tolerance, arena);
  if (reach <= 0) throw new Incomputable("", "has no area that could rise");
  const quarter = Math.ceil(chordsOfCircle(Math.max(reach, depth), tolerance) / 4);
  const steps = Math.min(MOST_LEVELS, Math.max(4, quarter));
  const insets = Array.from({ length: steps + 1 }, (_, k) => {
    const angle = (Math.PI / 2) * (k / steps);
    return { by: reach * Math.min(1 - CROWN, 1 - Math.cos(angle)), z: depth * Math.sin(angle) };
  });
  const least = Math.min(...insets.slice(1).map(({ by }, k) => by - (insets[k]?.by ?? 0)));
  const finer = Math.max(Math.min(tolerance, least / 4), tolerance / 100);
  return insets.map(({ by, z }) => ({ rings: inset(area, by, finer, arena).toPolygons(), z }));
}
