import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from "react";
import type { Point } from "@twin-petal/core";
import { toScreen, toSheet } from "@/paint/view";
import { arrowMove } from "@/ui/arrows";
import { usePicture } from "./pictureContext";

interface HandleProps {
  readonly label: string;
  /** Where it is, on the sheet in millimetres. */
  readonly at: Point;
  /** What stands beside it while it is pulled. */
  readonly telling: string;
  /** What one arrow key moves it by, millimetres on the sheet. */
  readonly nudge: number;
  readonly children: ReactNode;
  /** It is pulled to a point of the sheet; one gesture is one step of undo. */
  onPull: (to: Point, gesture: string) => void;
}

/** Something on the ornament that can be pulled by hand or by the arrow keys. */
export function Handle({ label, at, telling, nudge, children, onPull }: HandleProps) {
  const { view, size } = usePicture();
  const [pulling, setPulling] = useState(false);
  const grip = useRef<{ offset: Point; gesture: string } | null>(null);
  if (!view || !size) return null;
  const place = toScreen(view, size, at);

  const pointer = (event: PointerEvent): Point => {
    const box = event.currentTarget.closest("svg")?.getBoundingClientRect();
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) };
  };
  const onPointerDown = (event: PointerEvent) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const down = pointer(event);
    grip.current = { offset: { x: place.x - down.x, y: place.y - down.y }, gesture: `pull-${event.timeStamp}` };
    setPulling(true);
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!grip.current) return;
    const now = pointer(event);
    const { offset, gesture } = grip.current;
    onPull(toSheet(view, size, { x: now.x + offset.x, y: now.y + offset.y }), gesture);
  };
  const onPointerUp = () => {
    grip.current = null;
    setPulling(false);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    if (!move) return;
    event.preventDefault();
    event.stopPropagation();
    onPull({ x: at.x + move.x, y: at.y + move.y }, `keys-${label}`);
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${label}, ${telling}. Arrow keys move it.`}
      transform={`translate(${place.x} ${place.y})`}
      className="group pointer-events-auto cursor-move touch-none outline-none"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerUp}
      onKeyDown={onKeyDown}
    >
      <title>{label}</title>
      <circle r={15} fill="transparent" className="group-focus-visible:stroke-words" strokeWidth={2} />
      {children}
      {pulling && (
        <g transform="translate(18 -18)" aria-hidden="true">
          <rect
            x={-6}
            y={-17}
            width={telling.length * 8 + 12}
            height={24}
            rx={4}
            fill="var(--surface)"
            stroke="var(--hairline)"
          />
          <text className="fill-words font-mono text-[13px]">{telling}</text>
        </g>
      )}
    </g>
  );
}
