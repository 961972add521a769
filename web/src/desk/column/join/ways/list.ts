import type { JoinMode } from "@twin-petal/core";
import { apartLabels } from "./apart";
import type { JoinLabels } from "./definition";
import { evenOddLabels } from "./evenOdd";
import { facesLabels } from "./faces";
import { mergeLabels } from "./merge";
import { weaveLabels } from "./weave";

/** The words of every way to join, in the order they are offered. */
export const JOIN_LABELS: readonly JoinLabels[] = [apartLabels, mergeLabels, evenOddLabels, facesLabels, weaveLabels];

/** The words of a way to join. */
export function labelsOfJoin(mode: JoinMode): JoinLabels {
  const found = JOIN_LABELS.find(({ kind }) => kind === mode);
  if (!found) throw new Error(`the join ${mode} has no words`);
  return found;
}
