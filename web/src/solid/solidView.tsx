import { useState, type KeyboardEvent, type ReactNode } from "react";
import type { SpacePoint } from "@twin-petal/core";
import type { LaidLayer } from "@/workers/solidWork";
import type { CutOpen, Met } from "./picture/content";
import { NoticeChip, ProgressChip } from "@/ui/progressChip";
import { SolidCanvas } from "./solidCanvas";
import type { Place } from "./solidPicture";
import { SolidTools } from "./solidTools";
import type { EyeHand, WishWords } from "./useEye";
import type { Solids } from "./useSolids";

interface SolidViewProps {
  readonly label: string;
  readonly solids: Solids;
  readonly bed: { readonly width: number; readonly depth: number };
  /** What moves the eye. */
  readonly eye: EyeHand;
  /** A layer that is laid. */
  readonly laid?: LaidLayer | null;
  /** Places that are marked beside those measured. */
  readonly places?: readonly SpacePoint[];
  onCopy?: (copy: NonNullable<Met["copy"]> | null) => void;
  /** Told after every picture where points in space are seen. */
  onDrawn?: (place: Place) => void;
  /** Lies over the canvas. */
  readonly children?: ReactNode;
}

/** Degrees one arrow key turns the view by. */
const TURN = 10;
const CLOSER = 1.2;

/** Solids, turned by pointer and keys, seen from four sides, cut open and measured. */
export function SolidView({ label, solids, bed, eye, laid = null, places, onCopy, onDrawn, children }: SolidViewProps) {
  const [cutOpen, setCutOpen] = useState<CutOpen | null>(null);
  const [points, setPoints] = useState<readonly SpacePoint[]>([]);
  const [isMeasuring, setMeasuring] = useState(false);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    const next = keyWish(event.key);
    if (!next) return;
    event.preventDefault();
    event.stopPropagation();
    eye.ask(next);
  };
  const onClick = (met: Met | null) => {
    if (isMeasuring) {
      if (met) setPoints((known) => (known.length === 1 ? [...known, met.point] : [met.point]));
    } else onCopy?.(met?.copy ?? null);
  };
  const { layout, model, share, isStopped } = solids;
  const state = share !== null ? "uniting" : model ? "united" : isStopped ? "stopped" : layout ? "copies" : "waiting";
  return (
    <div
      id="solid-view"
      role="group"
      tabIndex={0}
      aria-label={`${label} Arrow keys turn it, plus and minus go closer and further.`}
      data-state={state}
      data-volume={model?.bodies.reduce((sum, { volume }) => sum + volume, 0) ?? ""}
      onKeyDown={onKeyDown}
      className="relative min-h-0 min-w-0 flex-1 overflow-hidden -outline-offset-2"
    >
      <SolidCanvas
        solids={solids}
        bed={bed}
        wish={eye.wish}
        cutOpen={cutOpen}
        marked={isMeasuring ? points : (places ?? points)}
        laid={laid}
        onClick={onClick}
        {...(onDrawn && { onDrawn })}
      />
      <SolidTools
        box={layout?.box ?? null}
        cutOpen={cutOpen}
        isMeasuring={isMeasuring}
        measured={measuredWords(points)}
        onSide={(side) => eye.ask({ side })}
        onCut={setCutOpen}
        onMeasure={(measuring) => {
          setMeasuring(measuring);
          setPoints([]);
        }}
      />
      <Progress solids={solids} />
      {children}
    </div>
  );
}

function keyWish(key: string): WishWords | null {
  switch (key) {
    case "ArrowLeft":
      return { around: -TURN, above: 0 };
    case "ArrowRight":
      return { around: TURN, above: 0 };
    case "ArrowUp":
      return { around: 0, above: TURN };
    case "ArrowDown":
      return { around: 0, above: -TURN };
    case "+":
      return { closer: CLOSER };
    case "-":
      return { closer: 1 / CLOSER };
    default:
      return null;
  }
}

function measuredWords(points: readonly SpacePoint[]): string {
  const [a, b] = points;
  if (!a) return "click a first point";
  if (!b) return "click a second point";
  return `${Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z).toFixed(2)} mm`;
}

/** How far uniting has come, with a way to end it; and what cannot be made. */
function Progress({ solids: { share, model, layout, trouble, isStopped, stop } }: { solids: Solids }) {
  const problems = model?.problems ?? layout?.problems ?? [];
  const [problem] = problems;
  const words = trouble ?? problem?.message;
  return (
    <div className="pointer-events-none absolute top-3 right-3 z-10 flex max-w-80 flex-col items-end gap-2">
      {share !== null && share > 0 && (
        <ProgressChip label="Uniting" share={share} words={`uniting, ${Math.round(share * 100)} %`} onStop={stop} />
      )}
      {isStopped && <NoticeChip words="Not united: every copy is shown by itself. The next change unites again." />}
      {words && <NoticeChip failed words={words} />}
    </div>
  );
}
