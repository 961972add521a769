import type { Remote } from "comlink";
import type { Design } from "@twin-petal/core";
import { startStitchWork } from "@/workers/start";
import type { ShownStitches, StitchWork } from "@/workers/stitchWork";
import { useWork, type Work } from "../useWork";

/** A design's stitches, live. */
export type Stitches = Work<Remote<StitchWork>, ShownStitches>;

const compute = (work: Remote<StitchWork>, design: Design, onShare: (share: number) => void) =>
  work.stitch(design, onShare);

/** Computes a design's stitches whenever the hand rests. */
export function useStitches(design: Design): Stitches {
  return useWork(design, startStitchWork, compute);
}
