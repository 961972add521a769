import type { MotifDefinition } from "./definition";
import { disc } from "./disc";
import { ellipse } from "./ellipse";
import { petal } from "./petal";
import { polygon } from "./polygon";
import { rectangle } from "./rectangle";
import { ring } from "./ring";
import { star } from "./star";

/** Every kind of motif, in the order they are offered. */
export const MOTIFS: readonly MotifDefinition[] = [petal, ellipse, disc, ring, polygon, star, rectangle];

const byKind = new Map(MOTIFS.map((definition) => [definition.kind, definition]));

/** The definition of a kind; undefined for a kind there is none of. */
export function motifOf(kind: string): MotifDefinition | undefined {
  return byKind.get(kind);
}
