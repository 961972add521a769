import { useEffect, useRef, useState } from "react";
import type { Point } from "@twin-petal/core";
import { useElementSize } from "@/desk/stage/useElementSize";
import { fitted, panned, toScreen, toSheet, zoomed, type Size, type View } from "@/paint/view";
import { useDrag } from "@/ui/useDrag";

/** Where a stage paints. */
export interface StagePlacing {
  /** Where the sheet's origin is and how large a millimetre, in pixels of the canvas. */
  readonly to: { readonly x: number; readonly y: number; readonly scale: number };
  /** Pixels of the canvas a CSS pixel. */
  readonly density: number;
  /** Where colours of the page are read from. */
  readonly colors: CSSStyleDeclaration;
}

interface FrameStageProps {
  readonly id: string;
  readonly label: string;
  readonly frame: { readonly width: number; readonly height: number };
  /** Places that are marked, the one looked at first. */
  readonly places: readonly Point[];
  /** Whether what is to be shown is there. */
  readonly isReady: boolean;
  /** Whether a click does something. */
  readonly isPicking?: boolean;
  /** Paints what is in the frame; another function paints anew. */
  paint: (context: CanvasRenderingContext2D, placing: StagePlacing) => void;
  /** Told where on the sheet was clicked, and how many pixels a millimetre is. */
  onClick?: (place: Point, scale: number) => void;
}

/** Pixels left free around the frame. */
const ROOM = 30;
const ZOOM = 1.0015;
/** How large a place shows that is gone to, pixels a millimetre at least. */
const CLOSE = 6;

/** The frame of a device with what is in it, moved and enlarged by the hand. */
export function FrameStage(props: FrameStageProps) {
  const { id, label, frame, places, isReady, isPicking = false, paint, onClick } = props;
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
    fit(context.canvas, size, density);
    const to = { scale: view.scale * density, ...origin(view, size, density) };
    paint(context, { to, density, colors: getComputedStyle(context.canvas) });
    context.canvas.setAttribute("data-painted", isReady ? "yes" : "no");
  }, [paint, isReady, size, view]);
  const drag = useDrag<Point>({
    grasp: ({ button, nativeEvent: { offsetX: x, offsetY: y } }) => (button === 0 || button === 1 ? { x, y } : null),
    onMove: (_from, { before, to }) => view && setOwn(panned(view, to.x - before.x, to.y - before.y)),
    onEnd: (from, moved) => moved || (size && view && onClick?.(toSheet(view, size, from), view.scale)),
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
      id={id}
      role="img"
      aria-label={label}
      className={`relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden ${isPicking ? "cursor-crosshair" : "cursor-grab"}`}
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

/** Setting a canvas's size empties it and takes memory anew, so it is only set when it differs. */
function fit(canvas: HTMLCanvasElement, { width, height }: Size, density: number): void {
  const [across, down] = [Math.round(width * density), Math.round(height * density)];
  if (canvas.width !== across) canvas.width = across;
  if (canvas.height !== down) canvas.height = down;
}

function boxOf({ width, height }: FrameStageProps["frame"]) {
  return { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
}

function origin(view: View, size: Size, density: number): Point {
  const { x, y } = toScreen(view, size, { x: 0, y: 0 });
  return { x: x * density, y: y * density };
}

/** A ring around a place that is told of. */
export function markPlaces(context: CanvasRenderingContext2D, places: readonly Point[], pixel: number, color: string) {
  context.strokeStyle = color;
  places.forEach(({ x, y }, index) => {
    context.lineWidth = (index === 0 ? 3 : 1.5) * pixel;
    context.beginPath();
    context.arc(x, y, (index === 0 ? 14 : 9) * pixel, 0, 2 * Math.PI);
    context.stroke();
  });
}
