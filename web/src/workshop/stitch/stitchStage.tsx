import { useCallback, useEffect, useState } from "react";
import type { Point, ResolvedMaking } from "@twin-petal/core";
import type { ShownStitches } from "@/workers/stitchWork";
import { FrameStage, markPlaces, type StagePlacing } from "../frameStage";
import { drawDensity, drawHoop, drawJumps, drawNeedle } from "./drawCloth";
import { ThreadPainter } from "./threadPainter";

interface StitchStageProps {
  readonly shown: ShownStitches | null;
  readonly frame: ResolvedMaking["stitch"]["frame"];
  readonly densest: number;
  /** The stitch that is shown, counted from 0; null while all are. */
  readonly at: number | null;
  readonly places: readonly Point[];
  readonly hasJumps: boolean;
  readonly hasDensity: boolean;
}

/** Thread is painted for so long in each frame, milliseconds. */
const A_WHILE = 9;

/** The hoop with cloth in it, and the thread up to a stitch. */
export function StitchStage({ shown, frame, densest, at, places, hasJumps, hasDensity }: StitchStageProps) {
  const [painter] = useState(() => new ThreadPainter());
  const [round, setRound] = useState(0);
  const upTo = shown ? (at === null ? shown.plan.how.length : at + 1) : 0;
  const paint = useCallback(
    (context: CanvasRenderingContext2D, { to, density, colors }: StagePlacing) => {
      const { width, height } = context.canvas;
      const color = (name: string) => colors.getPropertyValue(name).trim();
      const pixel = density / to.scale;
      context.resetTransform();
      context.clearRect(0, 0, width, height);
      drawHoop(context, frame, to, pixel, color);
      if (shown) {
        painter.want({ plan: shown.plan, upTo, to, width, height });
        painter.show(context, to);
      }
      context.setTransform(to.scale, 0, 0, to.scale, to.x, to.y);
      if (shown && hasDensity) drawDensity(context, shown.density, densest, color("--failed"));
      if (shown && hasJumps) drawJumps(context, shown.plan, upTo, pixel, color("--live"));
      if (shown && at !== null) drawNeedle(context, shown.plan, at, pixel, color("--words"));
      markPlaces(context, places, pixel, color("--failed"));
      context.canvas.setAttribute("data-behind", painter.isBehind() ? "yes" : "no");
      context.canvas.setAttribute("data-round", String(round));
    },
    [painter, shown, frame, densest, upTo, at, places, hasJumps, hasDensity, round],
  );
  useEffect(() => {
    let frameNumber = 0;
    const goOn = () => {
      if (painter.isBehind()) {
        painter.work(A_WHILE);
        setRound((known) => known + 1);
      }
      frameNumber = requestAnimationFrame(goOn);
    };
    frameNumber = requestAnimationFrame(goOn);
    return () => cancelAnimationFrame(frameNumber);
  }, [painter]);
  return (
    <FrameStage
      id="stitch-view"
      label="The hoop with everything that is sewn."
      frame={frame}
      places={places}
      isReady={shown !== null}
      paint={paint}
    />
  );
}
