import type { FieldValue, Motif } from "../fields/stored";
import type { DrawnPathValue } from "./drawn/drawnValues";
import type { StrokeStyle, StrokeValue } from "./freehand/strokes";
import type { WalkStepValue } from "./walk/steps";

/** A list a motif holds in one of its fields; empty where it has none. The schema has seen to what is in it. */
function listIn<T>(
  motif: Motif,
  kind: string,
  field: string,
  is: (value: FieldValue) => value is FieldValue & readonly T[],
): readonly T[] {
  const stored = motif.kind === kind ? motif[field] : undefined;
  return stored !== undefined && is(stored) ? stored : [];
}

const isRuns = (value: FieldValue): value is readonly DrawnPathValue[] => Array.isArray(value);
const isStrokes = (value: FieldValue): value is readonly StrokeValue[] => Array.isArray(value);
const isStyles = (value: FieldValue): value is readonly (StrokeStyle | null)[] => Array.isArray(value);
const isSteps = (value: FieldValue): value is readonly WalkStepValue[] => Array.isArray(value);
const isMotifs = (value: FieldValue): value is readonly Motif[] => Array.isArray(value);

/** The runs of a drawn motif as the file holds them. */
export const storedRuns = (motif: Motif) => listIn(motif, "drawn", "paths", isRuns);
/** The strokes of a freehand motif. */
export const storedStrokes = (motif: Motif) => listIn(motif, "freehand", "strokes", isStrokes);
/** What single strokes of a freehand motif have of their own. */
export const storedStyles = (motif: Motif) => listIn(motif, "freehand", "styles", isStyles);
/** The steps of a walk. */
export const storedSteps = (motif: Motif) => listIn(motif, "walk", "steps", isSteps);
/** The motifs a compound combines. */
export const storedMembers = (motif: Motif) => listIn(motif, "compound", "of", isMotifs);
