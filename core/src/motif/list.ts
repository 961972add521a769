import { arc } from "./arc";
import { compound } from "./compound";
import { curve } from "./curve";
import type { MotifDefinition } from "./definition";
import { disc } from "./disc";
import { drawn } from "./drawn/drawn";
import { drop } from "./drop";
import { ellipse } from "./ellipse";
import { freehand } from "./freehand/freehand";
import { leaf } from "./leaf";
import { line } from "./line";
import { part } from "./part";
import { petal } from "./petal";
import { polygon } from "./polygon";
import { rectangle } from "./rectangle";
import { ring } from "./ring";
import { sector } from "./sector";
import { star } from "./star";
import { svg } from "./svg/svg";
import { text } from "./text/text";
import { walk } from "./walk/walk";
import { wave } from "./wave";

/** Every kind of motif, in the order they are offered. */
export const MOTIFS: readonly MotifDefinition[] = [
  petal,
  leaf,
  drop,
  ellipse,
  disc,
  ring,
  sector,
  polygon,
  star,
  rectangle,
  line,
  arc,
  wave,
  curve,
  drawn,
  freehand,
  walk,
  text,
  svg,
  part,
  compound,
];

const byKind = new Map(MOTIFS.map((definition) => [definition.kind, definition]));

/** The definition of a kind; undefined for a kind there is none of. */
export function motifOf(kind: string): MotifDefinition | undefined {
  return byKind.get(kind);
}
