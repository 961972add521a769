import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from "react";
import type { Point } from "@twin-petal/core";
import { toScreen, toSheet } from "@/paint/view";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { useAside } from "./fan";
import { usePicture } from "./pictureContext";

interface HandleProps {
  readonly label: string;
  /** Where it is, on the sheet in millimetres. */
  readonly at: Point;
  /** What stands beside it while it is pulled. */
  readonly readout: string;
  /** What one arrow key moves it by, millimetres on the sheet. */
  readonly nudge: number;
  readonly children: ReactNode;
  /** It is pulled to a point of the sheet; one gesture is one step of undo. */
  onPull: (to: Point, gesture: string) => void;
  /** For whole numbers: arrow keys step by so many, as moving a little would change nothing. */
  onStep?: (by: number, gesture: string) => void;
}

/** Something on the ornament that can be pulled by hand or by the arrow keys. */
export function Handle({ label, at, readout, nudge, children, onPull, onStep }: HandleProps) {
  const { view, size, isCurrent } = usePicture("view", "size", "isCurrent");
  /** Where the hand has sent it since the picture was last up to date: the next key goes on from there. */
  const sentTo = useRef<Point | null>(null);
  useEffect(() => {
    if (isCurrent) sentTo.current = null;
  }, [isCurrent]);
  const [pulling, setPulling] = useState(false);
  const place = view && size && toScreen(view, size, at);
  const aside = useAside(place, pulling);
  const drag = useDrag<Point>({
    // What is grasped is how far the pointer is off the handle's own place.
    grasp(event) {
      const down = pixelOf(event);
      setPulling(true);
      return { x: (place?.x ?? 0) - down.x, y: (place?.y ?? 0) - down.y };
    },
    onMove(off, { to, gesture }) {
      if (!view || !size) return;
      sentTo.current = toSheet(view, size, { x: to.x + off.x, y: to.y + off.y });
      onPull(sentTo.current, gesture);
    },
    onEnd: () => setPulling(false),
    begins: 0,
  });
  if (!place) return null;

  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    if (!move) return;
    event.preventDefault();
    event.stopPropagation();
    const steps = Math.round((move.x - move.y) / nudge) || Math.sign(move.x - move.y);
    if (onStep) onStep(steps, `keys-${label}`);
    else {
      // A pull that changed nothing, against a limit for example, has sent it nowhere.
      const from = (isCurrent ? null : sentTo.current) ?? at;
      sentTo.current = { x: from.x + move.x, y: from.y + move.y };
      onPull(sentTo.current, `keys-${label}`);
    }
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${label}, ${readout}. Arrow keys move it.`}
      transform={`translate(${place.x + aside.x} ${place.y + aside.y})`}
      className="group pointer-events-auto cursor-move touch-none outline-none"
      {...drag}
      onKeyDown={onKeyDown}
    >
      <title>{label}</title>
      {(aside.x !== 0 || aside.y !== 0) && <Leader x={-aside.x} y={-aside.y} />}
      <circle r={15} fill="transparent" className="group-focus-visible:stroke-words" strokeWidth={2} />
      {children}
      {pulling && (
        <g transform="translate(18 -18)" aria-hidden="true">
          <rect
            x={-6}
            y={-17}
            width={readout.length * 8 + 12}
            height={24}
            rx={4}
            fill="var(--surface)"
            stroke="var(--hairline)"
          />
          <text className="fill-words font-mono text-[13px]">{readout}</text>
        </g>
      )}
    </g>
  );
}

/** From a handle that stands aside to the place it is for. */
function Leader({ x, y }: Point) {
  return (
    <>
      <line x2={x} y2={y} stroke="#FFFFFF" strokeWidth={3} />
      <line x2={x} y2={y} stroke="#2B2140" strokeWidth={1} />
    </>
  );
}
