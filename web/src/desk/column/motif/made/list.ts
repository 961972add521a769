import type { MadeMotif } from "./definition";
import { drawnMotif } from "./drawn";
import { freehandMotif } from "./freehand";
import { partMotif } from "./part";
import { svgMotif } from "./svg";
import { textMotif } from "./text";
import { walkMotif } from "./walk";

/** Motifs that are made rather than chosen ready, in the order they are offered. */
export const MADE_MOTIFS: readonly MadeMotif[] = [drawnMotif, freehandMotif, walkMotif, textMotif, partMotif, svgMotif];

/** The words of a made motif; undefined for a ready one. */
export function madeMotif(kind: string): MadeMotif | undefined {
  return MADE_MOTIFS.find((made) => made.kind === kind);
}
