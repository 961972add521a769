import { useCallback } from "react";
import { pathData, type Point } from "@twin-petal/core";
import type { ShownCut } from "@/workers/cutWork";
import { FrameStage, type StagePlacing } from "../frameStage";
import { drawRun } from "./drawRun";

interface CutStageProps {
  readonly shown: ShownCut | null;
  readonly frame: { readonly width: number; readonly height: number };
  /** The move that is shown, counted from 0; null while all are. */
  readonly at: number | null;
  /** Places that are marked, the one looked at first. */
  readonly places: readonly Point[];
  /** Whether a click sets a bridge. */
  readonly isBridging: boolean;
  /** Told where a bridge is wanted, on the outline of which part. */
  onBridge: (place: { part: string; at: Point }) => void;
}

/** A click this near to a line is on it, pixels. */
const NEAR = 12;

/** The frame with everything the head does, as its program says it. */
export function CutStage({ shown, frame, at, places, isBridging, onBridge }: CutStageProps) {
  const paint = useCallback(
    (context: CanvasRenderingContext2D, placing: StagePlacing) =>
      drawRun(context, { shown, frame, at, places, ...placing }),
    [shown, frame, at, places],
  );
  const bridgeAt = (place: Point, scale: number) => {
    const found = isBridging && shown ? nearestPart(shown, place, NEAR / scale) : null;
    if (found) onBridge(found);
  };
  return (
    <FrameStage
      id="cut-view"
      label="The frame with everything the head does."
      frame={frame}
      places={places}
      isReady={shown !== null}
      isPicking={isBridging}
      paint={paint}
      onClick={bridgeAt}
    />
  );
}

/** The part whose line is nearest to a place, if one is near. */
function nearestPart({ lines }: ShownCut, at: Point, reach: number): { part: string; at: Point } | null {
  const context = new OffscreenCanvas(1, 1).getContext("2d");
  if (!context) return null;
  context.lineWidth = 2 * reach;
  const found = lines.find(
    ({ as, runs }) => as === "cut" && context.isPointInStroke(new Path2D(pathData(runs)), at.x, at.y),
  );
  return found ? { part: found.part, at } : null;
}
