import { crossingsAmong } from "./crossingsAmong";
import { spend } from "./effort";
import type { Path } from "./path";

/** Seconds for each segment of outlines, and for each place where they cross. */
export interface OutlineEffort {
  readonly segment: number;
  readonly crossing: number;
}

/** What working with outlines takes by the way it is done, measured over discs, rings and stars that lie over each other. */
export const OUTLINE_EFFORT = {
  /** One outline around all. */
  united: { segment: 45e-6, crossing: 5e-6 },
  /** Every crossing stays in what comes of it. */
  kept: { segment: 60e-6, crossing: 32e-6 },
  /** Lines split at every crossing. */
  split: { segment: 100e-6, crossing: 40e-6 },
  /** Strands laid over and under each other at every crossing. */
  woven: { segment: 100e-6, crossing: 600e-6 },
  /** Faces traced between all crossings, and what covers each. */
  faced: { segment: 170e-6, crossing: 120e-6 },
} as const satisfies Record<string, OutlineEffort>;

/** Counts what working with outlines takes. Throws a TooMuchEffort. */
export function spendOnOutlines(outlines: readonly Path[], { segment, crossing }: OutlineEffort): void {
  const segments = outlines.reduce((sum, path) => path.reduce((own, run) => own + run.coordinates.length / 6, sum), 0);
  spend(segments * segment);
  spend(crossingsAmong(outlines) * crossing);
}
