import { fillOf, type FillKind, type FillValue } from "@twin-petal/core";
import { cycleLabels } from "./cycle";
import type { FillLabels } from "./definition";
import { linearLabels } from "./linear";
import { poolsLabels } from "./pools";
import { radialLabels } from "./radial";
import { rampLabels } from "./ramp";

/** The words of every kind of fill, in the order they are offered. */
export const FILL_LABELS: readonly FillLabels[] = [cycleLabels, rampLabels, linearLabels, radialLabels, poolsLabels];

/** What several colours may do. */
export const FILL_KINDS: readonly FillKind[] = FILL_LABELS.map(({ kind }) => kind);
/** What one face can be filled with: nothing that goes from copy to copy. */
export const FACE_KINDS: readonly FillKind[] = FILL_KINDS.filter((kind) => fillOf(kind)?.changes === "within");

/** The words of a fill of several colours; undefined for a colour. */
export function labelsOfFill(fill: FillValue | null): FillLabels | undefined {
  return typeof fill === "object" && fill !== null ? FILL_LABELS.find(({ kind }) => kind === fill.kind) : undefined;
}
