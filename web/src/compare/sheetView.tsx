import { useRef, type KeyboardEvent, type ReactNode } from "react";
import { useViewHand } from "@/desk/stage/useViewHand";
import { useDrag } from "@/ui/useDrag";

/** How all sheets are seen: enlarged, and moved by pixels from the middle. */
export interface SheetsView {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

export const WHOLE: SheetsView = { scale: 1, x: 0, y: 0 };

const STEP = 1.25;
const PAN = 48;
const FARTHEST = 64;

interface SheetViewProps {
  readonly label: string;
  readonly view: SheetsView;
  readonly children: ReactNode;
  onView: (change: (view: SheetsView) => SheetsView) => void;
}

/** Enlarges by a factor about a place, pixels from the middle. */
function zoomed(
  { scale, x, y }: SheetsView,
  factor: number,
  at: { readonly x: number; readonly y: number },
): SheetsView {
  const next = Math.min(FARTHEST, Math.max(0.25, scale * factor));
  const share = next / scale;
  return { scale: next, x: at.x - (at.x - x) * share, y: at.y - (at.y - y) * share };
}

/** A place sheets are shown in: the wheel enlarges, a pull moves, arrows and plus and minus do too. */
export function SheetView({ label, view, children, onView }: SheetViewProps) {
  const frame = useRef<HTMLDivElement>(null);
  useViewHand(frame, {
    zoom(factor, at) {
      const box = frame.current?.getBoundingClientRect();
      const [x, y] = [at.x - (box?.width ?? 0) / 2, at.y - (box?.height ?? 0) / 2];
      onView((now) => zoomed(now, factor, { x, y }));
    },
    pan: (x, y) => onView((now) => ({ ...now, x: now.x + x, y: now.y + y })),
  });
  const drag = useDrag<true>({
    grasp: () => true,
    onMove: (_, { before, to }) =>
      onView((now) => ({ ...now, x: now.x + to.x - before.x, y: now.y + to.y - before.y })),
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [PAN, 0], ArrowRight: [-PAN, 0], ArrowUp: [0, PAN], ArrowDown: [0, -PAN] }[event.key];
    if (by) onView((now) => ({ ...now, x: now.x + (by[0] ?? 0), y: now.y + (by[1] ?? 0) }));
    else if (event.key === "+") onView((now) => zoomed(now, STEP, { x: 0, y: 0 }));
    else if (event.key === "-") onView((now) => zoomed(now, 1 / STEP, { x: 0, y: 0 }));
    else if (event.key === "0") onView(() => WHOLE);
    else return;
    event.preventDefault();
  };
  return (
    <div
      ref={frame}
      role="group"
      tabIndex={0}
      aria-label={`${label}. Arrow keys move it, plus and minus zoom, 0 shows it whole.`}
      onKeyDown={onKeyDown}
      {...drag}
      className="relative min-h-0 flex-1 cursor-grab touch-none overflow-hidden bg-page -outline-offset-2 active:cursor-grabbing"
    >
      <div
        className="absolute inset-6"
        style={{ transform: `translate(${view.x}px, ${view.y}px) scale(${view.scale})` }}
      >
        {children}
      </div>
    </div>
  );
}
