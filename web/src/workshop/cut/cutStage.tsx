import { useCallback, useEffect, useRef, useState } from "react";
import { pathData, type Point } from "@twin-petal/core";
import { useElementSize } from "@/desk/stage/useElementSize";
import { fitted, panned, toScreen, toSheet, zoomed, type Size, type View } from "@/paint/view";
import { useDrag } from "@/ui/useDrag";
import type { ShownCut } from "@/workers/cutWork";
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

/** Pixels left free around the frame. */
const ROOM = 30;
/** A click this near to a line is on it, pixels. */
const NEAR = 12;
const ZOOM = 1.0015;
/** How large a place shows that is gone to, pixels a millimetre at least. */
const CLOSE = 6;

/** The frame with everything the head does, as its program says it; moved and enlarged by the hand. */
export function CutStage({ shown, frame, at, places, isBridging, onBridge }: CutStageProps) {
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const size = useElementSize(holder);
  const [state, setState] = useState<{ of: readonly Point[]; view: View | null }>({ of: places, view: null });
  const whole = size ? fitted(boxOf(frame), size, ROOM) : null;
  const [place] = places;
  // A new place is gone to; from there the hand goes on.
  const isThere = state.of === places || !place;
  const own = isThere ? state.view : { ...place, scale: Math.max(CLOSE, state.view?.scale ?? 0) };
  const view = own ?? whole;
  const setOwn = (next: View | null) => setState({ of: places, view: next });
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !size || !view) return;
    const density = window.devicePixelRatio;
    context.canvas.width = Math.round(size.width * density);
    context.canvas.height = Math.round(size.height * density);
    const to = { scale: view.scale * density, ...origin(view, size, density) };
    drawRun(context, { shown, frame, at, places, to, density, colors: getComputedStyle(context.canvas) });
    context.canvas.setAttribute("data-painted", shown ? "yes" : "no");
  }, [shown, frame, at, places, size, view]);
  const bridgeAt = useCallback(
    (pixel: Point) => {
      if (!isBridging || !shown || !size || !view) return;
      const found = nearestPart(shown, toSheet(view, size, pixel), NEAR / view.scale);
      if (found) onBridge(found);
    },
    [isBridging, shown, size, view, onBridge],
  );
  const drag = useDrag<Point>({
    grasp: ({ button, nativeEvent: { offsetX: x, offsetY: y } }) => (button === 0 || button === 1 ? { x, y } : null),
    onMove: (_from, { before, to }) => view && setOwn(panned(view, to.x - before.x, to.y - before.y)),
    onEnd: (from, moved) => moved || bridgeAt(from),
  });
  useEffect(() => {
    const element = holder.current;
    if (!element || !size) return;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const { left, top } = element.getBoundingClientRect();
      const pixel = { x: event.clientX - left, y: event.clientY - top };
      if (view) setOwn(zoomed(view, size, ZOOM ** -event.deltaY, pixel));
    };
    element.addEventListener("wheel", onWheel, { passive: false });
    return () => element.removeEventListener("wheel", onWheel);
  });
  return (
    <div
      ref={holder}
      id="cut-view"
      role="img"
      aria-label="The frame with everything the head does."
      className={`relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden ${isBridging ? "cursor-crosshair" : "cursor-grab"}`}
      {...drag}
    >
      <canvas ref={canvas} className="absolute inset-0 size-full" />
      {own && (
        <button
          type="button"
          className="absolute right-3 bottom-3 rounded-md border border-hairline bg-surface px-2 text-[14px] text-quiet hover:text-words"
          onPointerDown={(event) => event.stopPropagation()}
          onClick={() => setOwn(null)}
        >
          show the frame whole
        </button>
      )}
    </div>
  );
}

function boxOf({ width, height }: CutStageProps["frame"]) {
  return { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
}

function origin(view: View, size: Size, density: number): Point {
  const { x, y } = toScreen(view, size, { x: 0, y: 0 });
  return { x: x * density, y: y * density };
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
