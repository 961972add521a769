import type { Guide } from "@twin-petal/core";
import type { GuideLabels } from "./definition";
import { dimensionLabels } from "./dimension";
import { levelLabels } from "./level";
import { polygonLabels } from "./polygon";
import { slantedLabels } from "./slanted";
import { starLabels } from "./star";
import { uprightLabels } from "./upright";

/** The words of every kind of guide, in the order they are offered. */
export const GUIDE_LABELS: readonly GuideLabels[] = [
  uprightLabels,
  levelLabels,
  slantedLabels,
  starLabels,
  polygonLabels,
  dimensionLabels,
];

/** The words of a guide. */
export function labelsOfGuide(guide: Guide): GuideLabels | undefined {
  return GUIDE_LABELS.find(({ kind }) => kind in guide);
}
