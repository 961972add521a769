import { useCallback } from "react";
import type { Remote } from "comlink";
import type { BridgePlace, Design } from "@twin-petal/core";
import type { CutWork, ShownCut } from "@/workers/cutWork";
import { startCutWork } from "@/workers/start";
import { useWork, type Work } from "../useWork";

/** A design's cut, live. */
export interface Cut extends Omit<Work<Remote<CutWork>, ShownCut>, "worker"> {
  /** Where bridges would hold the islands. */
  bridgesForIslands: () => Promise<readonly BridgePlace[]>;
}

const compute = (work: Remote<CutWork>, design: Design, onShare: (share: number) => void) => work.cut(design, onShare);

/** Computes a design's cut whenever the hand rests. */
export function useCut(design: Design): Cut {
  const { worker, ...work } = useWork(design, startCutWork, compute);
  const bridgesForIslands = useCallback(async () => (await worker()?.bridgesForIslands()) ?? [], [worker]);
  return { ...work, bridgesForIslands };
}
